import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Select } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import type { Offer, Offerings, OfferPage } from "../api/client";
import { useCourses } from "../api/useCourses";
import { useNumberings } from "../api/useNumbering";
import { useThemes } from "../api/useThemes";
import { CombinationPick } from "../library-search/CombinationPick";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { day, dayAndTime, RULES } from "../ui/words";
import { KINDS } from "./OfferList";
import {
  useCreateLink,
  useFollow,
  useOffering,
  useOfferings,
  useOffers,
  useReadAgain,
  useRevokeLink,
  useUnfollow,
} from "./useOffers";
import "../ui/gym.css";
import "./offers.css";

/** What this gym offers to others, who reads it, and whose offers are read here. */
export default function SharingScreen() {
  const offerings = useOfferings();
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Sharing</Trans>
      </h1>
      <p className="small offer-lead">
        <Trans>
          Other gyms see what you offer in their review and decide about it for themselves. Of you they see names,
          chains, themes, levels and notes; no coaches, sessions or logbook.
        </Trans>
      </p>
      <Loaded query={offerings} what={t`Loading what is offered`}>
        {(data) => (
          <div className="columns">
            <Offered offerings={data.offerings} />
            <div>
              <Readers {...data} />
              <Followed group={data.group} />
            </div>
          </div>
        )}
      </Loaded>
    </main>
  );
}

function Offered({ offerings }: Pick<Offerings, "offerings">) {
  const change = useOffering();
  return (
    <section className="panel block" aria-label={t`What you offer`}>
      <h2>
        <Trans>What you offer</Trans>
      </h2>
      <Failure error={change.error} />
      <Add
        isRunning={change.isPending}
        taken={offerings}
        onAdd={(kind, subject) => change.mutate({ kind, subject, isOffered: true })}
      />
      {offerings.length === 0 && (
        <p>
          <Trans>Nothing yet. With a theme every combination that has it is offered, also those that come later.</Trans>
        </p>
      )}
      <ul className="offer-list">
        {offerings.map(({ kind, subject, name, who, at }) => (
          <li key={kind + subject}>
            <span className="offer-kind">{KINDS[kind]}</span>
            <span>
              {name === null ? (
                <Trans>archived or renamed, so others do not see it (it was {subject})</Trans>
              ) : kind === "combination" ? (
                <Link to={`/combinations/${subject}`}>{name}</Link>
              ) : (
                <b>{name}</b>
              )}
              <br />
              <span className="small">
                <Trans>
                  {who}, {day(at)}
                </Trans>
              </span>
            </span>
            <Button
              aria-label={t`Stop offering “${name ?? subject}”`}
              onClick={() => change.mutate({ kind, subject, isOffered: false })}
            >
              <Trans>Stop offering</Trans>
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface AddProps {
  isRunning: boolean;
  taken: Offerings["offerings"];
  onAdd: (kind: Offer["kind"], subject: string) => void;
}

/** Chooses what else is offered. */
function Add({ isRunning, taken, onAdd }: AddProps) {
  const [kind, setKind] = useState<Offer["kind"]>("theme");
  const [subject, setSubject] = useState<string | null>(null);
  const themes = useThemes().data ?? [];
  const courses = useCourses().data ?? [];
  const numberings = useNumberings().data?.numberings ?? [];
  const choices: Record<Offer["kind"], { value: string; label: string }[]> = {
    combination: [],
    theme: themes.map(({ theme, combinations }) => ({ value: theme, label: t`${theme} (${combinations})` })),
    course: courses.filter(({ archived }) => !archived).map(({ id, name }) => ({ value: String(id), label: name })),
    numbering: numberings.filter(({ isBuiltIn }) => !isBuiltIn).map(({ id, name }) => ({ value: id, label: name })),
    "house-rules": RULES.map(({ value, label }) => ({ value, label })),
  };
  const open = choices[kind].filter(({ value }) => !taken.some((one) => one.kind === kind && one.subject === value));
  return (
    <>
      <Segmented
        value={kind}
        onChange={(next) => {
          setKind(next);
          setSubject(null);
        }}
        options={Object.entries(KINDS).map(([value, label]) => ({ value: value as Offer["kind"], label }))}
        aria-label={t`What to offer`}
      />
      <Flex gap="small" className="form-row">
        {kind === "combination" ? (
          <CombinationPick
            label={t`A combination to offer`}
            placeholder={t`Name or chain`}
            className="offer-pick"
            first={{ sort: "updated", direction: "down" }}
            without={taken.filter((one) => one.kind === "combination").map((one) => Number(one.subject))}
            onChoose={({ id }) => onAdd("combination", String(id))}
          />
        ) : (
          <>
            <Select
              showSearch
              optionFilterProp="label"
              className="offer-pick"
              aria-label={t`Which ${KINDS[kind]}`}
              placeholder={open.length === 0 ? t`There is none to offer` : t`Choose`}
              value={subject}
              options={open}
              disabled={open.length === 0}
              onChange={setSubject}
            />
            <Button
              type="primary"
              loading={isRunning}
              disabled={subject === null}
              onClick={() => {
                if (subject !== null) {
                  onAdd(kind, subject);
                  setSubject(null);
                }
              }}
            >
              <Trans>Offer it</Trans>
            </Button>
          </>
        )}
      </Flex>
    </>
  );
}

/** Who reads what is offered: the group, and whoever has a link. */
function Readers({ group, links }: Offerings) {
  const create = useCreateLink();
  const revoke = useRevokeLink();
  const notice = useNotice();
  const [name, setName] = useState("");
  const [asked, setAsked] = useState<Offerings["links"][number] | null>(null);
  const address = (path: string) => window.location.origin + path;
  const make = () =>
    create.mutate(name.trim(), {
      onSuccess: ({ path }) => {
        setName("");
        notice.copy(address(path), t`The link is copied. Send it to the head coach of the other gym.`);
      },
    });
  return (
    <section className="panel block" aria-label={t`Who sees it`}>
      <h2>
        <Trans>Who sees it</Trans>
      </h2>
      <p>
        {group === null
          ? t`Gyms of other installations of Periplus, under a link. It only reads, and can be revoked.`
          : t`The other gyms of “${group}”, by themselves; and gyms of other installations under a link, which only reads and can be revoked.`}
      </p>
      <Failure error={create.error ?? revoke.error} />
      <Flex component="form" gap="small" className="form-row" onSubmit={(event) => event.preventDefault()}>
        <Input
          {...bounds("OfferLinkRequest", "name")}
          value={name}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => name.trim() !== "" && make()}
          placeholder={t`Who the link is for, such as Harbour Gym`}
          aria-label={t`Who the link is for`}
        />
        <Button onClick={make} loading={create.isPending} disabled={name.trim() === ""}>
          <Trans>Make a link</Trans>
        </Button>
      </Flex>
      <ul className="offer-list">
        {links.map((link) => (
          <li key={link.id}>
            <span>
              <b>{link.name}</b>
              <br />
              <span className="small">
                <Trans>
                  {link.creator}, {day(link.createdAt)}
                </Trans>
              </span>
            </span>
            <Button onClick={() => notice.copy(address(link.path), t`The link is copied.`)}>
              <Trans>Copy link</Trans>
            </Button>
            <Button danger aria-label={t`Revoke the link for ${link.name}`} onClick={() => setAsked(link)}>
              <Trans>Revoke</Trans>
            </Button>
          </li>
        ))}
      </ul>
      <ConfirmDialog
        isOpen={asked !== null}
        title={t`Revoke the link for ${asked?.name ?? ""}?`}
        action={t`Revoke it`}
        isDangerous
        isRunning={revoke.isPending}
        onConfirm={() => asked && revoke.mutate(asked.id, { onSettled: () => setAsked(null) })}
        onClose={() => setAsked(null)}
      >
        <Trans>It no longer works for anybody. What was taken over under it stays there.</Trans>
      </ConfirmDialog>
    </section>
  );
}

/** Whose offers are read. */
function Followed({ group }: Pick<Offerings, "group">) {
  const offers = useOffers(false);
  const follow = useFollow();
  const [address, setAddress] = useState("");
  const add = () => follow.mutate({ address: address.trim() }, { onSuccess: () => setAddress("") });
  return (
    <section className="panel block" aria-label={t`Whose offers you read`}>
      <h2>
        <Trans>Whose offers you read</Trans>
      </h2>
      <Failure error={follow.error} />
      <Flex component="form" gap="small" className="form-row" onSubmit={(event) => event.preventDefault()}>
        <Input
          {...bounds("FollowRequest", "address")}
          value={address}
          onChange={(event) => setAddress(event.target.value)}
          onPressEnter={() => address.trim() !== "" && add()}
          placeholder={t`The link that another gym gave you`}
          aria-label={t`The link that another gym gave you`}
        />
        <Button onClick={add} loading={follow.isPending} disabled={address.trim() === ""}>
          <Trans>Read its offers</Trans>
        </Button>
      </Flex>
      <Loaded query={offers} what={t`Loading whose offers are read`}>
        {({ sources, open }) => (
          <>
            {sources.length === 0 && (
              <p className="small">
                {group === null ? t`None yet.` : t`None yet: no other gym of “${group}” offers anything.`}
              </p>
            )}
            <ul className="offer-list">
              {sources.map((source) => (
                <Source key={source.id} source={source} />
              ))}
            </ul>
            {sources.length > 0 && (
              <p>
                <Link to="/review?list=offers">
                  {open === 0 ? t`No offer waits for an answer.` : t`${open} wait for an answer in the review.`}
                </Link>
              </p>
            )}
          </>
        )}
      </Loaded>
    </section>
  );
}

function Source({ source }: { source: OfferPage["sources"][number] }) {
  const readAgain = useReadAgain();
  const unfollow = useUnfollow();
  const [asks, setAsks] = useState(false);
  const { link, gym, readAt, problem } = source;
  return (
    <li>
      <span>
        <b>{gym}</b>
        <br />
        <span className="small">
          {link === null ? t`of your group, as of ${dayAndTime(readAt)}` : t`read ${dayAndTime(readAt)}`}
          {problem && <> · {problem}</>}
        </span>
      </span>
      {link !== null && (
        <>
          <Button loading={readAgain.isPending} onClick={() => readAgain.mutate(link)}>
            <Trans>Read again</Trans>
          </Button>
          <Button danger aria-label={t`Stop reading the offers of ${gym}`} onClick={() => setAsks(true)}>
            <Trans>Stop reading</Trans>
          </Button>
          <ConfirmDialog
            isOpen={asks}
            title={t`Stop reading the offers of ${gym}?`}
            action={t`Stop reading them`}
            isRunning={unfollow.isPending}
            onConfirm={() => unfollow.mutate(link, { onSettled: () => setAsks(false) })}
            onClose={() => setAsks(false)}
          >
            <Trans>What you took over stays in your library. Later versions no longer come.</Trans>
          </ConfirmDialog>
        </>
      )}
    </li>
  );
}
