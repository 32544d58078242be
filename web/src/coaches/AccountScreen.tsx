import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation } from "@tanstack/react-query";
import { Button, Flex, Input, Select } from "antd";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { answered, api } from "../api/client";
import { useSession } from "../api/session";
import { useNumberings } from "../api/useNumbering";
import { useChooseNumbering } from "../numbering/useChooseNumbering";
import { type Appearance, appearance, choose as showAs } from "../ui/appearance";
import { Failure } from "../ui/Failure";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { isLongEnough, NewPassword } from "./NewPassword";
import "../ui/gym.css";

const LOOKS: { value: Appearance; label: string }[] = [
  { value: "device", label: t`as this device` },
  { value: "light", label: t`light` },
  { value: "dark", label: t`dark` },
];

/** The coach's own numbering, appearance and password. */
export default function AccountScreen() {
  const user = useSession().data?.user;
  return (
    <main className="page page-narrow">
      <h1>{user?.name}</h1>
      <p className="small">{user?.email}</p>
      <NumberingChoice />
      <AppearanceChoice />
      <PasswordForm />
    </main>
  );
}

/** The numbers the coach reads. */
function NumberingChoice() {
  const user = useSession().data?.user;
  const numberings = useNumberings();
  const choose = useChooseNumbering("me");
  const ofGym =
    numberings.data?.numberings.find((numbering) => numbering.id === numberings.data.ofGym)?.name ?? t`the gym’s`;
  return (
    <section className="panel block">
      <h2>
        <Trans>The numbers you read</Trans>
      </h2>
      <Flex wrap align="center" gap="small" className="form-row">
        <Select
          value={user?.numbering ?? ""}
          onChange={(value) => choose.mutate(value === "" ? null : value)}
          options={[
            { value: "", label: t`The gym’s: ${ofGym}` },
            ...(numberings.data?.numberings.map((numbering) => ({ value: numbering.id, label: numbering.name })) ?? []),
          ]}
          aria-label={t`The numbering you read in`}
          style={{ minWidth: 260 }}
        />
        <Link to="/numbering">
          <Trans>Show the numberings</Trans>
        </Link>
      </Flex>
      <p className="small">
        <Trans>Every combination is shown in these numbers, whatever it was written in.</Trans>
      </p>
    </section>
  );
}

/** How the screens look on this device. */
function AppearanceChoice() {
  const [look, setLook] = useState(appearance);
  return (
    <section className="panel block">
      <h2>
        <Trans>Light or dark</Trans>
      </h2>
      <Segmented
        value={look}
        onChange={(to) => {
          showAs(to);
          setLook(to);
        }}
        options={LOOKS}
        aria-label={t`Light or dark`}
      />
      <p className="small">
        <Trans>On this device only. A wall is always dark.</Trans>
      </p>
    </section>
  );
}

/** Changes the password, which signs the coach out everywhere else. */
function PasswordForm() {
  const session = useSession();
  const notice = useNotice();
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const password = useMutation({
    mutationFn: () => answered(api.PUT("/api/me/password", { body: { current, new: next } })),
    onSuccess: async () => {
      setCurrent("");
      setNext("");
      notice.done(t`Your password is changed. Other places you were signed in are signed out.`);
      // The session is new, and so is its CSRF token.
      await session.refetch();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    password.mutate();
  };
  return (
    <section className="panel block">
      <h2>
        <Trans>Password</Trans>
      </h2>
      <Flex component="form" vertical gap="small" className="form-narrow" onSubmit={submit}>
        <label htmlFor="current">
          <Trans>Current password</Trans>
        </label>
        <Input.Password
          id="current"
          autoComplete="current-password"
          value={current}
          onChange={(event) => setCurrent(event.target.value)}
        />
        <NewPassword id="next" label={t`New password`} value={next} onChange={setNext} />
        <Failure error={password.error} />
        <Button htmlType="submit" loading={password.isPending} disabled={current === "" || !isLongEnough(next)}>
          <Trans>Change the password</Trans>
        </Button>
      </Flex>
    </section>
  );
}
