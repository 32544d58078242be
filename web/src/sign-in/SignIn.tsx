import { Trans } from "@lingui/react/macro";
import { Button, Input } from "antd";
import { type FormEvent, useState } from "react";
import { useSignIn } from "../api/session";
import { Failure } from "../ui/Failure";
import "./sign-in.css";

export function SignIn() {
  return (
    <main className="door">
      <Picture />
      <section className="door-form">
        <h1>
          <Trans>Periplus</Trans>
        </h1>
        <p className="lead">
          <Trans>Your gym's combination library. Write it once, check that it flows, read it in either stance.</Trans>
        </p>
        <SignInForm />
        <NoAccount />
      </section>
    </main>
  );
}

/** A combination as a line, to be recognised at the door. */
function Picture() {
  return (
    <section className="door-picture" aria-hidden="true">
      <svg viewBox="0 0 560 420" preserveAspectRatio="xMidYMid meet">
        <g stroke="#ffffff22" strokeWidth="2">
          <path d="M30 110H530M30 190H530M30 270H530" />
        </g>
        <path
          d="M70 110C150 110 150 110 200 110S270 190 310 190 380 110 430 110 470 270 500 270"
          fill="none"
          stroke="#ffffff55"
          strokeWidth="3"
        />
        <path d="M48 88h34l12 22-12 22H48z" fill="#f3eee2" />
        <rect x="178" y="88" width="44" height="44" rx="5" fill="#c58fb4" />
        <path d="M288 168h34l12 22-12 22h-34z" fill="#f3eee2" />
        <rect x="408" y="88" width="44" height="44" rx="5" fill="#c58fb4" />
        <rect x="478" y="248" width="44" height="44" rx="5" fill="#c58fb4" />
        <path
          d="M30 350C90 350 110 330 160 335S230 385 290 375 360 325 420 330 480 350 530 345"
          fill="none"
          stroke="#e0a33a"
          strokeWidth="5"
          strokeLinecap="round"
        />
      </svg>
    </section>
  );
}

function SignInForm() {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const signIn = useSignIn();

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (email.trim() && password) {
      signIn.mutate({ email: email.trim(), password });
    } else {
      document.getElementById(email.trim() ? "password" : "email")?.focus();
    }
  };

  return (
    <form onSubmit={submit}>
      <label htmlFor="email">
        <Trans>E-mail</Trans>
      </label>
      <Input
        id="email"
        type="email"
        autoComplete="username"
        autoFocus
        value={email}
        onChange={(event) => setEmail(event.target.value)}
        size="large"
      />
      <label htmlFor="password">
        <Trans>Password</Trans>
      </label>
      <Input.Password
        id="password"
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        size="large"
      />
      <Failure error={signIn.error} />
      <Button type="primary" htmlType="submit" size="large" block loading={signIn.isPending}>
        <Trans>Sign in</Trans>
      </Button>
    </form>
  );
}

function NoAccount() {
  return (
    <details className="small">
      <summary>
        <Trans>No account, or forgot your password?</Trans>
      </summary>
      <p>
        <Trans>Ask your head coach: they make a link for you under Gym, Coaches.</Trans>
      </p>
      <p>
        <Trans>
          You are the head coach? On the machine of the gym run <code>bin/periplus coach link YOUR-EMAIL</code> and open
          the link it prints. <code>bin/periplus coach list</code> names all accounts.
        </Trans>
      </p>
    </details>
  );
}
