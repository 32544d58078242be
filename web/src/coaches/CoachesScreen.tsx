import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import type { Coach } from "../api/client";
import { useSession } from "../api/session";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { day, dayAndTime, ROLES } from "../ui/words";
import { useChangeCoach, useCoaches, useInvitations, useMakeLink, useWithdraw } from "./useCoaches";

const ROLE_OPTIONS = (Object.keys(ROLES) as Coach["role"][]).map((value) => ({ value, label: ROLES[value] }));

/** Lists the gym's coaches with their roles, and the invitation links. */
export default function CoachesScreen() {
  const coaches = useCoaches();
  const link = useMakeLink();
  const notice = useNotice();
  const [what, setWhat] = useState("");
  const make = (to: Parameters<typeof link.mutate>[0], said: string) => {
    setWhat(said);
    link.mutate(to, { onError: notice.failed });
  };
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Coaches</Trans>
      </h1>
      <InviteRow isPending={link.isPending} onInvite={(invite) => make(invite, t`Send this link to the new coach`)} />
      {link.data && (
        <p className="link-made" role="status">
          <span>
            <Trans>
              {what}; it is shown only now and is valid until {day(link.data.expiresAt)}: <b>{link.data.link}</b>
            </Trans>
          </span>
          <Button onClick={() => notice.copy(link.data.link, t`The link is copied.`)}>
            <Trans>Copy</Trans>
          </Button>
        </p>
      )}
      <OpenLinks />
      <Loaded query={coaches} what={t`Loading the coaches`}>
        {({ coaches }) => (
          <CoachTable
            coaches={coaches}
            onReset={({ id, name }) => make({ reset: id }, t`With this link ${name} sets a new password`)}
          />
        )}
      </Loaded>
    </main>
  );
}

/** The valid links; each can be withdrawn. */
function OpenLinks() {
  const links = useInvitations();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const rows = links.data?.invitations ?? [];
  if (links.isError) {
    return <Failure error={links.error} />;
  }
  if (rows.length === 0) {
    return null;
  }
  return (
    <section className="panel open-links" aria-labelledby="open-links">
      <h2 id="open-links">
        <Trans>Links that are open</Trans>
      </h2>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            <span>
              <b>{row.meantFor || t`Somebody`}</b>{" "}
              {row.kind === "invite" ? t`joins as a ${ROLES[row.role]}` : t`sets a new password`}
            </span>
            <span className="small">
              <Trans>
                made by {row.madeBy}, {dayAndTime(row.madeAt)}; good until {dayAndTime(row.expiresAt)}
              </Trans>
            </span>
            <Button
              size="small"
              aria-label={t`Withdraw the link for ${row.meantFor || "somebody"}`}
              onClick={() =>
                withdraw.mutate(row.id, {
                  onSuccess: () => notice.done(t`The link is withdrawn and no longer works.`),
                  onError: notice.failed,
                })
              }
            >
              <Trans>Withdraw</Trans>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

type Invite = Extract<Parameters<ReturnType<typeof useMakeLink>["mutate"]>[0], { role: Coach["role"] }>;

/** Makes a link for a new coach. */
function InviteRow({ isPending, onInvite }: { isPending: boolean; onInvite: (invite: Invite) => void }) {
  const [role, setRole] = useState<Coach["role"]>("coach");
  const [meantFor, setMeantFor] = useState("");
  return (
    <Flex wrap align="center" gap="small" className="form-row">
      <span>
        <Trans>Invite a</Trans>
      </span>
      <Segmented value={role} onChange={setRole} options={ROLE_OPTIONS} aria-label={t`Role of the new coach`} />
      <Input
        value={meantFor}
        {...bounds("InviteRequest", "meantFor")}
        onChange={(event) => setMeantFor(event.target.value)}
        placeholder={t`Who it is for, such as a first name`}
        aria-label={t`Who the link is for`}
        style={{ width: 260 }}
      />
      <Button
        type="primary"
        loading={isPending}
        onClick={() => {
          onInvite({ role, meantFor });
          setMeantFor("");
        }}
      >
        <Trans>Make a link</Trans>
      </Button>
      <span className="small">
        <Trans>
          A coach looks up, writes and proposes; a head coach approves and runs the gym. The link is good for a week and
          for one person.
        </Trans>
      </span>
    </Flex>
  );
}

interface TableProps {
  coaches: Coach[];
  /** Makes a link with which a coach sets a new password. */
  onReset: (coach: Coach) => void;
}

function CoachTable({ coaches, onReset }: TableProps) {
  return (
    <div className="panel plain-scroll">
      <table className="plain-table narrow-cards">
        <thead>
          <tr>
            <th scope="col">
              <Trans>Name</Trans>
            </th>
            <th scope="col">
              <Trans>E-mail</Trans>
            </th>
            <th scope="col">
              <Trans>Role</Trans>
            </th>
            <th scope="col">
              <Trans>Last sign-in</Trans>
            </th>
            <th scope="col">
              <Trans>Password</Trans>
            </th>
            <th scope="col">
              <Trans>Status</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {coaches.map((coach) => (
            <CoachRow key={coach.id} coach={coach} onReset={() => onReset(coach)} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A coach with their role, password and status. */
function CoachRow({ coach, onReset }: { coach: Coach; onReset: () => void }) {
  const change = useChangeCoach();
  const notice = useNotice();
  const [blocking, setBlocking] = useState(false);
  const isMe = useSession().data?.user?.id === coach.id;
  const put = (part: Partial<Coach>) => change.mutate({ id: coach.id, ...part }, { onError: notice.failed });
  const changeRole = (to: Coach["role"]) =>
    change.mutate(
      { id: coach.id, role: to },
      {
        onSuccess: () => notice.undo(t`${coach.name} is ${ROLES[to]} now.`, () => put({ role: coach.role })),
        onError: notice.failed,
      },
    );
  return (
    <tr>
      <td>
        <b>{coach.name}</b>
        {isMe ? t` (you)` : ""}
      </td>
      <td>{coach.email}</td>
      <td>
        <Segmented
          size="small"
          value={coach.role}
          onChange={changeRole}
          options={ROLE_OPTIONS}
          aria-label={t`Role of ${coach.name}`}
        />
      </td>
      <td>{coach.lastSignIn ? dayAndTime(coach.lastSignIn) : t`never signed in`}</td>
      <td>
        <Button size="small" disabled={!coach.active} onClick={onReset}>
          <Trans>Reset password</Trans>
        </Button>
      </td>
      <td>
        {coach.active ? (
          <Button size="small" disabled={isMe} onClick={() => setBlocking(true)}>
            <Trans>Active · block</Trans>
          </Button>
        ) : (
          <Button size="small" onClick={() => put({ active: true })}>
            <Trans>Blocked · unblock</Trans>
          </Button>
        )}
        <ConfirmDialog
          isOpen={blocking}
          title={t`Block ${coach.name}?`}
          action={t`Block`}
          isDangerous
          onConfirm={() => {
            setBlocking(false);
            put({ active: false });
          }}
          onClose={() => setBlocking(false)}
        >
          <Trans>They are signed out everywhere, and links made by or for them stop working.</Trans>
        </ConfirmDialog>
      </td>
    </tr>
  );
}
