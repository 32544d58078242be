import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Input, Popconfirm } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import type { Coach } from "../api/client";
import { useSession } from "../api/session";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loading } from "../ui/Loading";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { day, dayAndTime, ROLES } from "../ui/words";
import { useChangeCoach, useCoaches, useInvitations, useMakeLink, useWithdraw } from "./useCoaches";

const ROLE_OPTIONS = (Object.keys(ROLES) as Coach["role"][]).map((value) => ({ value, label: ROLES[value] }));

/** Lists the gym's coaches with their roles, and the invitation links. */
export default function CoachesScreen() {
  const coaches = useCoaches();
  const me = useSession().data?.user;
  const change = useChangeCoach();
  const link = useMakeLink();
  const notice = useNotice();
  const [role, setRole] = useState<Coach["role"]>("coach");
  const [meantFor, setMeantFor] = useState("");
  const [what, setWhat] = useState("");
  const put = (coach: Coach, part: Partial<Coach>) =>
    change.mutate({ id: coach.id, ...part }, { onError: notice.failed });
  const changeRole = (coach: Coach, to: Coach["role"]) =>
    change.mutate(
      { id: coach.id, role: to },
      {
        onSuccess: () => notice.undo(t`${coach.name} is ${ROLES[to]} now.`, () => put(coach, { role: coach.role })),
        onError: notice.failed,
      },
    );
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
      <div className="form-row">
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
          loading={link.isPending}
          onClick={() => {
            make({ role, meantFor }, t`Send this link to the new coach`);
            setMeantFor("");
          }}
        >
          <Trans>Make a link</Trans>
        </Button>
        <span className="small">
          <Trans>
            A coach looks up, writes and proposes; a head coach approves and runs the gym. The link is good for a week
            and for one person.
          </Trans>
        </span>
      </div>
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
      {coaches.isPending && <Loading what={t`Loading the coaches`} />}
      <Failure error={coaches.error} />
      {coaches.data && (
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
              {coaches.data.coaches.map((coach) => (
                <tr key={coach.id}>
                  <td>
                    <b>{coach.name}</b>
                    {coach.id === me?.id ? t` (you)` : ""}
                  </td>
                  <td>{coach.email}</td>
                  <td>
                    <Segmented
                      size="small"
                      value={coach.role}
                      onChange={(to) => changeRole(coach, to)}
                      options={ROLE_OPTIONS}
                      aria-label={t`Role of ${coach.name}`}
                    />
                  </td>
                  <td>{coach.lastSignIn ? dayAndTime(coach.lastSignIn) : t`never signed in`}</td>
                  <td>
                    <Button
                      size="small"
                      disabled={!coach.active}
                      onClick={() => make({ reset: coach.id }, t`With this link ${coach.name} sets a new password`)}
                    >
                      <Trans>Reset password</Trans>
                    </Button>
                  </td>
                  <td>
                    {coach.active ? (
                      <Popconfirm
                        getPopupContainer={layers}
                        title={t`${coach.name} is signed out everywhere, and links made by or for them are no longer valid.`}
                        okText={t`Block`}
                        cancelText={t`Cancel`}
                        onConfirm={() => put(coach, { active: false })}
                      >
                        <Button size="small" disabled={coach.id === me?.id}>
                          <Trans>Active · block</Trans>
                        </Button>
                      </Popconfirm>
                    ) : (
                      <Button size="small" onClick={() => put(coach, { active: true })}>
                        <Trans>Blocked · unblock</Trans>
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
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
