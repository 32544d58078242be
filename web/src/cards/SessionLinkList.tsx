import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import type { SessionLink } from "../api/client";
import { clockOf } from "../ui/clock";
import { Loaded } from "../ui/Loaded";
import { useNotice } from "../ui/useNotice";
import { day, todayInGym } from "../ui/words";
import { CodeToScan } from "./CodeToScan";
import { useConfirmRevoke } from "./useConfirmRevoke";
import { sessionAddress, useRevokeSessionLink, useSessionLinks } from "./useSessionLinks";
import "./cards.css";

/** The links to sessions that athletes do alone. */
export function SessionLinkList({ shown }: { shown: number }) {
  const links = useSessionLinks();
  return (
    <section className="session-links" aria-label={t`Sessions to do at home`}>
      <h2>
        <Trans>Sessions to do at home</Trans>
      </h2>
      <Loaded query={links} what={t`Loading the sessions`} />
      {links.data?.length === 0 && (
        <p className="small card-lead">
          <Trans>
            None yet: open a session, then “Link for athletes” in its menu; or press “As a session” beside a card.
          </Trans>
        </p>
      )}
      <Flex component="ul" vertical gap="small">
        {links.data?.map((link) => (
          <Row key={link.id} link={link} withCode={link.id === shown} />
        ))}
      </Flex>
    </section>
  );
}

function Row({ link, withCode }: { link: SessionLink; withCode: boolean }) {
  const revoke = useRevokeSessionLink();
  const notice = useNotice();
  const [ask, modalHolder] = useConfirmRevoke(link.name, () => revoke.mutateAsync(link.id));
  const address = sessionAddress(link.key);
  const isOver = link.endsOn < todayInGym();
  const isOpen = link.revokedAt === null && !isOver;
  return (
    <li className={`panel card-row${isOpen ? "" : " card-revoked"}`}>
      {modalHolder}
      <div>
        <h3>{link.name}</h3>
        <p>
          <Trans>{clockOf(link.lengthMs / 1000)} in all</Trans>
          {" · "}
          {plural(link.finished, { 0: "nobody finished it yet", one: "finished once", other: "finished # times" })}
        </p>
        <p className="small">
          <Trans>
            made by {link.creator}, {day(link.createdAt)}
          </Trans>
          {" · "}
          {link.revokedAt
            ? t`revoked ${day(link.revokedAt)}`
            : isOver
              ? t`ended on ${day(link.endsOn)}`
              : t`opens until ${day(link.endsOn)}`}
        </p>
        {isOpen && (
          <Flex wrap gap="small">
            <Button onClick={() => notice.copy(address, t`The link is copied.`)}>
              <Trans>Copy link</Trans>
            </Button>
            <Button href={`/at-home/${link.key}`} target="_blank">
              <Trans>Open it</Trans>
            </Button>
            <Button danger loading={revoke.isPending} onClick={ask}>
              <Trans>Revoke</Trans>
            </Button>
          </Flex>
        )}
      </div>
      {isOpen && <CodeToScan address={address} name={link.name} isOpen={withCode} />}
    </li>
  );
}
