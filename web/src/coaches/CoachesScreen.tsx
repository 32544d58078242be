import { Button, Input, Popconfirm } from "antd";
import { useState } from "react";
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
        onSuccess: () => notice.undo(`${coach.name} is ${ROLES[to]} now.`, () => put(coach, { role: coach.role })),
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
      <h1>Coaches</h1>
      <div className="form-row">
        <span>Invite a</span>
        <Segmented value={role} onChange={setRole} options={ROLE_OPTIONS} aria-label="Role of who is invited" />
        <Input
          value={meantFor}
          maxLength={80}
          onChange={(event) => setMeantFor(event.target.value)}
          placeholder="For whom, such as a first name"
          aria-label="For whom the link is"
          style={{ width: 260 }}
        />
        <Button
          type="primary"
          loading={link.isPending}
          onClick={() => {
            make({ role, meantFor }, "Send this link to the new coach");
            setMeantFor("");
          }}
        >
          Make a link
        </Button>
        <span className="small">
          A coach looks up, writes and proposes; a head coach approves and runs the gym. The link is good for a week and
          for one person.
        </span>
      </div>
      {link.data && (
        <p className="link-made" role="status">
          <span>
            {what}; it is shown this once and is good until {day(link.data.expiresAt)}: <b>{link.data.link}</b>
          </span>
          <Button onClick={() => notice.copy(link.data.link, "The link is copied.")}>Copy</Button>
        </p>
      )}
      <OpenLinks />
      {coaches.isPending && <Loading what="Loading the coaches" />}
      <Failure error={coaches.error} />
      {coaches.data && (
        <div className="panel plain-scroll">
          <table className="plain-table narrow-cards">
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">E-mail</th>
                <th scope="col">Role</th>
                <th scope="col">Last sign-in</th>
                <th scope="col">Password</th>
                <th scope="col">Status</th>
              </tr>
            </thead>
            <tbody>
              {coaches.data.coaches.map((coach) => (
                <tr key={coach.id}>
                  <td>
                    <b>{coach.name}</b>
                    {coach.id === me?.id ? " (you)" : ""}
                  </td>
                  <td>{coach.email}</td>
                  <td>
                    <Segmented
                      size="small"
                      value={coach.role}
                      onChange={(to) => changeRole(coach, to)}
                      options={ROLE_OPTIONS}
                      aria-label={`Role of ${coach.name}`}
                    />
                  </td>
                  <td>{coach.lastSignIn ? dayAndTime(coach.lastSignIn) : "never signed in"}</td>
                  <td>
                    <Button
                      size="small"
                      disabled={!coach.active}
                      onClick={() => make({ reset: coach.id }, `With this link ${coach.name} sets a new password`)}
                    >
                      Reset password
                    </Button>
                  </td>
                  <td>
                    {coach.active ? (
                      <Popconfirm
                        getPopupContainer={layers}
                        title={`${coach.name} is signed out everywhere, and links made by or for them end.`}
                        okText="Block"
                        cancelText="Cancel"
                        onConfirm={() => put(coach, { active: false })}
                      >
                        <Button size="small" disabled={coach.id === me?.id}>
                          Active · block
                        </Button>
                      </Popconfirm>
                    ) : (
                      <Button size="small" onClick={() => put(coach, { active: true })}>
                        Blocked · unblock
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
      <h2 id="open-links">Links that are open</h2>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            <span>
              <b>{row.meantFor || "Somebody"}</b>{" "}
              {row.kind === "invite" ? `joins as a ${ROLES[row.role]}` : "sets a new password"}
            </span>
            <span className="small">
              made by {row.madeBy}, {dayAndTime(row.madeAt)}; good until {dayAndTime(row.expiresAt)}
            </span>
            <Button
              size="small"
              aria-label={`Withdraw the link for ${row.meantFor || "somebody"}`}
              onClick={() =>
                withdraw.mutate(row.id, {
                  onSuccess: () => notice.done("The link is withdrawn; it opens nothing any more."),
                  onError: notice.failed,
                })
              }
            >
              Withdraw
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
