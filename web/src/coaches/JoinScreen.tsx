import { useMutation, useQuery } from "@tanstack/react-query";
import { Alert, Button, Input } from "antd";
import { type FormEvent, useState } from "react";
import { useParams } from "react-router";
import { answered, api, refusal } from "../api/client";
import { useSession } from "../app/session";
import { Waiting } from "../app/Waiting";
import "../gym/gym.css";

/** Where an invitation leads: a new account, or a new password. */
export default function JoinScreen() {
  const token = useParams().token ?? "";
  // The session brings the token that every write sends back.
  const session = useSession();
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const look = useQuery({
    queryKey: ["invitation", token],
    queryFn: () => answered(api.GET("/api/invitations/{token}", { params: { path: { token } } })),
    retry: false,
  });
  const accept = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/invitations/{token}", {
          params: { path: { token }, header: { "X-CSRF-Token": "" } },
          body: look.data?.kind === "invite" ? { password, name, email } : { password },
        }),
      ),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    accept.mutate();
  };
  if (look.isPending || session.isPending) {
    return <Waiting what="Looking at the link" />;
  }
  if (look.isError) {
    return (
      <main className="page page-narrow">
        <h1>This link does not open</h1>
        <p>{refusal(look.error).title}</p>
        <a href="/library">To the sign-in</a>
      </main>
    );
  }
  if (accept.isSuccess) {
    return (
      <main className="page page-narrow">
        <h1>{look.data.kind === "invite" ? "Welcome to the gym" : "Your new password is set"}</h1>
        <p>
          <a href="/library">Sign in</a> with your e-mail address and the password you chose.
        </p>
      </main>
    );
  }
  const invite = look.data.kind === "invite";
  return (
    <main className="page page-narrow">
      <h1>{invite ? "Join the gym" : "Set a new password"}</h1>
      <p>
        {invite
          ? `You are invited as a ${look.data.role === "head-coach" ? "head coach" : "coach"}.`
          : `For ${look.data.name}, ${look.data.email}.`}
      </p>
      <form className="stack" onSubmit={submit}>
        {invite && (
          <>
            <label htmlFor="name">Your name, as the other coaches see it</label>
            <Input id="name" autoFocus value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
            <label htmlFor="email">E-mail</label>
            <Input
              id="email"
              type="email"
              autoComplete="username"
              value={email}
              onChange={(event) => setEmail(event.target.value)}
            />
          </>
        )}
        <label htmlFor="password">Password, at least 10 characters</label>
        <Input.Password
          id="password"
          autoComplete="new-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
        {accept.isError && <Alert type="error" showIcon message={refusal(accept.error).title} role="alert" />}
        <Button
          type="primary"
          htmlType="submit"
          loading={accept.isPending}
          disabled={password.length < 10 || (invite && (name.trim() === "" || email.trim() === ""))}
        >
          {invite ? "Join" : "Set the password"}
        </Button>
      </form>
    </main>
  );
}
