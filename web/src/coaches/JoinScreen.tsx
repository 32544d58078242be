import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation } from "@tanstack/react-query";
import { Button, Flex, Input } from "antd";
import { type FormEvent, useState } from "react";
import { useLocation } from "react-router";
import { bounds } from "../api/bounds";
import { answered, api, server } from "../api/client";
import { useSession } from "../api/session";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { ROLES } from "../ui/words";
import { isLongEnough, NewPassword } from "./NewPassword";
import "../ui/gym.css";

/** The page behind an invitation link: a new account, or a new password. */
export default function JoinScreen() {
  // The token is in the URL fragment, which browsers do not send.
  const token = useLocation().hash.slice(1);
  // The session provides the CSRF token for writes.
  const session = useSession();
  const look = useLink(token, session.isSuccess);
  const failure = session.error ?? look.error;
  if (!failure && look.isPending) {
    return <Loading what={t`Checking the link`} />;
  }
  if (failure || !look.data) {
    return (
      <NoPage title={t`This link does not open`} error={failure}>
        <a href="/library">
          <Trans>Go to the sign-in</Trans>
        </a>
      </NoPage>
    );
  }
  const { kind, gym } = look.data;
  const invite = kind !== "reset";
  return (
    <main className="page page-narrow">
      <h1>{kind === "setup" ? t`Your gym: ${gym}` : invite ? t`Join ${gym}` : t`Set a new password`}</h1>
      <p>
        {kind === "setup"
          ? t`You are its head coach. Sign in with this from now on; the link works only once.`
          : invite
            ? t`You are invited as a ${ROLES[look.data.role]}.`
            : t`For ${look.data.name ?? ""}, ${look.data.email ?? ""}.`}
      </p>
      <JoinForm token={token} link={look.data} />
    </main>
  );
}

/** Returns what a link is for. */
function useLink(token: string, enabled: boolean) {
  return server.useQuery("post", "/api/invitations/look", { body: { token } }, { enabled, retry: false });
}

interface FormProps {
  token: string;
  link: NonNullable<ReturnType<typeof useLink>["data"]>;
}

/** The coach's name and address where they are new, and the password. */
function JoinForm({ token, link }: FormProps) {
  const { kind } = link;
  const invite = kind !== "reset";
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const accept = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/invitations/accept", {
          body: invite ? { token, password, name, email } : { token, password },
        }),
      ),
    // The server has signed the coach in.
    onSuccess: () => window.location.assign(kind === "setup" ? "/setup" : "/library"),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    accept.mutate();
  };
  return (
    <Flex component="form" vertical gap="small" className="form-narrow" onSubmit={submit}>
      {invite && (
        <>
          <label htmlFor="name">
            <Trans>Your name, as the other coaches see it</Trans>
          </label>
          <Input
            id="name"
            autoFocus
            value={name}
            {...bounds("AcceptRequest", "name")}
            onChange={(event) => setName(event.target.value)}
          />
          <label htmlFor="email">
            <Trans>E-mail</Trans>
          </label>
          <Input
            id="email"
            type="email"
            autoComplete="username"
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
        </>
      )}
      <NewPassword id="password" label={t`Password`} value={password} onChange={setPassword} />
      <Failure error={accept.error} />
      <Button
        type="primary"
        htmlType="submit"
        loading={accept.isPending || accept.isSuccess}
        disabled={!isLongEnough(password) || (invite && (name.trim() === "" || email.trim() === ""))}
      >
        {kind === "setup" ? t`Begin` : invite ? t`Join` : t`Set the password`}
      </Button>
    </Flex>
  );
}
