import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link, useSearchParams } from "react-router";
import type { Rules, Stance } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { useCheck } from "../check/useCheck";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Trail } from "../ui/Trail";
import { Compare } from "./Compare";

export default function CompareScreen() {
  const [address] = useSearchParams();
  const readIn = useNumbering();
  const rules = (address.get("rules") as Rules | null) ?? "all-limbs";
  const side = (name: "first" | "second") => ({
    text: address.get(name) ?? "",
    stance: (address.get(`${name}Stance`) as Stance | null) ?? "orthodox",
    rules,
    readIn,
    with: ["fromAbove" as const],
  });
  const from = address.get("from") ?? "";
  // Only pages of this application are accepted as a way back.
  const cameFrom = /^\/(?!\/)/.test(from)
    ? { to: from, place: address.get("fromName") || t`Back` }
    : { to: "/library", place: t`Library` };
  const isEmpty = side("first").text.trim() === "" || side("second").text.trim() === "";
  const first = useCheck(side("first"));
  const second = useCheck(side("second"));
  const error = first.error ?? second.error;
  const problem = first.latest?.problems[0] ?? second.latest?.problems[0];
  const titles = [address.get("firstTitle") ?? t`First`, address.get("secondTitle") ?? t`Second`] as const;
  const stance = side("second").stance;
  return (
    <main className="page">
      <Trail to={cameFrom.to} place={cameFrom.place} name="Compare" />
      <h1>
        <Trans>Compare</Trans>
      </h1>
      <Failure error={error} />
      {isEmpty && (
        <p>
          <Trans>
            This link does not name two combinations. Open a combination of the <Link to="/library">library</Link> and
            compare it from there.
          </Trans>
        </p>
      )}
      {!error && problem && <p>{problem.message}</p>}
      {first.readable && second.readable ? (
        <section className="panel compare-panel">
          <Compare
            first={{
              title: titles[0],
              check: first.readable,
              fromAbove: first.fromAbove,
              stance: side("first").stance,
            }}
            second={{ title: titles[1], check: second.readable, fromAbove: second.fromAbove, stance }}
          />
          <p className="compare-links">
            {([first.readable, second.readable] as const).map((check, at) => (
              <Link
                key={titles[at]}
                to={`/bench?${new URLSearchParams({ chain: check.notation ?? "", stance: side(at === 0 ? "first" : "second").stance, rules })}`}
              >
                <Trans>Open “{titles[at]}” on the bench</Trans>
              </Link>
            ))}
          </p>
        </section>
      ) : error || problem || isEmpty ? null : (
        <Loading what={t`Checking both`} />
      )}
    </main>
  );
}
