import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button } from "antd";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { answered, api, type Course, type PathStep } from "../api/client";
import { libraryChanged } from "../api/keys";
import { useCourses } from "../api/useCourses";
import { CombinationLine } from "../combination-line/CombinationLine";
import { LinkZone } from "../combination-line/LinkZone";
import { CombinationPick } from "../library-search/CombinationPick";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import { ReportHead } from "./ReportHead";
import { useAsked, usePath } from "./useReports";

/** The shortest path of a course to a combination, with one new link or weapon a step. */
export default function PathScreen() {
  const [asked, put, address] = useAsked();
  const courses = useCourses().data;
  const course = courses?.find(({ id }) => id === asked.course);
  const first = courses?.find(({ archived }) => !archived)?.id;
  useEffect(() => {
    if (asked.course === undefined && first !== undefined) {
      put({ course: String(first) });
    }
  });
  const to = Number(address.get("to")) || undefined;
  const path = usePath(asked.course, to);
  return (
    <main className="page">
      <ReportHead title={t`Path to a combination`} withDays={false} needsCourse>
        <CombinationPick
          label={t`Goal`}
          placeholder={t`Goal: a name, or numbers`}
          className="path-goal"
          chosen={to === undefined ? null : { id: to, name: path.data?.target.name ?? "" }}
          first={{ sort: "level", direction: "down" }}
          onChoose={({ id }) => put({ to: String(id) })}
        />
      </ReportHead>
      <p className="small report-lead">
        <Trans>
          From what the course drills well to the goal: approved combinations, each with at most one new link or weapon.
        </Trans>
      </p>
      <Failure error={path.error} onRetry={() => path.refetch()} />
      {to === undefined && (
        <div className="panel empty">
          <h2>
            <Trans>Choose a goal</Trans>
          </h2>
          <p>
            <Trans>Any combination of the library: what the course should throw in some weeks.</Trans>
          </p>
        </div>
      )}
      {to !== undefined && path.isPending && <Loading what={t`Searching for the shortest path`} />}
      {path.data && (
        <section className="panel block">
          <h2>
            <Trans>
              To {path.data.target.name} in {path.data.steps.length}{" "}
              <Plural value={path.data.steps.length} one="step" other="steps" />
            </Trans>
          </h2>
          <p className="small" role="status">
            <Trans>
              {path.data.says} {course?.name} drills {path.data.knows.links} links and {path.data.knows.weapons} weapons
              well.
            </Trans>
          </p>
          <ol className="path-steps">
            {path.data.steps.map((step, at) => (
              <Step key={step.notation} step={step} at={at} course={course} />
            ))}
          </ol>
        </section>
      )}
    </main>
  );
}

function Step({ step, at, course }: { step: PathStep; at: number; course: Course | undefined }) {
  const queries = useQueryClient();
  const notice = useNotice();
  const [proposed, setProposed] = useState<number | null>(null);
  const propose = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/proposals", {
          body: {
            kind: "new",
            content: {
              name: step.name,
              text: step.notation,
              numbering: "parity",
              stance: step.stance,
              rules: course?.rules ?? "all-limbs",
              themes: ["bridge"],
              note: "",
            },
            remark: `A bridge that ${course?.name ?? "a course"} needs: ${step.new.map(({ says }) => says).join(", ")}.`,
          },
        }),
      ),
    onSuccess: (made) => {
      setProposed(made.id);
      libraryChanged(queries);
    },
    onError: notice.failed,
  });
  return (
    <li>
      <span className="path-number" aria-hidden="true">
        {at + 1}
      </span>
      <div>
        <p>
          {step.id === null ? <b>{step.name}</b> : <Link to={`/combinations/${step.id}`}>{step.name}</Link>}{" "}
          <span className="path-chain">{step.text}</span> <VerdictMark verdict={step.verdict} />
        </p>
        <CombinationLine
          drawing={step.line}
          width={360}
          name={step.name}
          overlay={(line) => (
            <>
              {step.new.map(({ link }) => (
                <LinkZone key={link} line={line} link={link} isNew />
              ))}
            </>
          )}
        />
        <p className="small">
          {step.new.length === 0 ? t`Nothing in it is new.` : t`New: ${step.new.map(({ says }) => says).join(", ")}.`}
          {step.id === null && t` Not in the library.`}
        </p>
        {step.id === null &&
          (proposed === null ? (
            <Button size="small" loading={propose.isPending} onClick={() => propose.mutate()}>
              <Trans>Propose it</Trans>
            </Button>
          ) : (
            <Link to={`/review/${proposed}`}>
              <Trans>Proposed; it waits for the head coach</Trans>
            </Link>
          ))}
      </div>
    </li>
  );
}
