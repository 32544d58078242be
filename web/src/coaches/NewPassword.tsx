import { t } from "@lingui/core/macro";
import { Input } from "antd";
import { minLength } from "../api/bounds";

const MIN_LENGTH = minLength("AcceptRequest", "password");

/** Tells whether a password may be sent; the server checks the rest of the rule. */
export function isLongEnough(password: string): boolean {
  return password.length >= MIN_LENGTH;
}

interface Props {
  id: string;
  label: string;
  value: string;
  onChange: (password: string) => void;
}

/** A field for a password that is chosen now, with the rule for it. */
export function NewPassword({ id, label, value, onChange }: Props) {
  return (
    <>
      <label htmlFor={id}>{label}</label>
      <Input.Password
        id={id}
        aria-describedby="password-rule"
        autoComplete="new-password"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
      <p className="small" id="password-rule">
        {t`At least ${MIN_LENGTH} characters, not your own name and no row of keys. Four unrelated words are good.`}
      </p>
    </>
  );
}
