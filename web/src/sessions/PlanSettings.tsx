import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, InputNumber, Select } from "antd";
import { bounds, maxItems } from "../api/bounds";
import type { SessionDocument } from "../api/client";
import type { PlanContent } from "../api/schema";
import { GROUPS, MEDIA, RULES } from "../ui/words";
import type { Planner } from "./usePlanner";
import { useDrills } from "./usePlans";

/** The settings of the whole session. */
export function PlanSettings({ planner, document }: { planner: Planner; document: SessionDocument | null }) {
  const { content } = planner.draft;
  const drills = useDrills();
  const put = (values: Partial<typeof content>) =>
    planner.change((now) => ({ ...now, content: { ...now.content, ...values } }), true);
  return (
    <Flex vertical gap="small" className="course-form">
      <label htmlFor="plan-minutes">
        <Trans>Time available (min)</Trans>
      </label>
      <InputNumber
        id="plan-minutes"
        {...bounds("Plan", "minutes")}
        value={content.minutes ?? null}
        onChange={(minutes) => put({ minutes })}
        placeholder={t`as long as it takes`}
      />
      <label htmlFor="plan-rules">
        <Trans>Rules</Trans>
      </label>
      <Select id="plan-rules" value={content.rules} options={RULES} onChange={(rules) => put({ rules })} />
      <label htmlFor="plan-group">
        <Trans>Group</Trans>
      </label>
      <Select id="plan-group" value={content.group} options={GROUPS} onChange={(group) => put({ group })} />
      <label htmlFor="plan-medium">
        <Trans>Mostly on</Trans>
      </label>
      <Select id="plan-medium" value={content.medium} options={MEDIA} onChange={(medium) => put({ medium })} />
      <label htmlFor="plan-level">
        <Trans>Default level</Trans>
      </label>
      <InputNumber
        id="plan-level"
        min={1}
        max={3}
        value={content.level}
        onChange={(level) => put({ level: level ?? 2 })}
      />
      <label htmlFor="plan-seed">
        <Trans>Seed of calls</Trans>
      </label>
      <InputNumber
        id="plan-seed"
        {...bounds("Plan", "seed")}
        value={content.seed}
        onChange={(seed) => put({ seed: seed ?? 1 })}
      />
      <label htmlFor="plan-needs">
        <Trans>What is needed</Trans>
      </label>
      <Input
        id="plan-needs"
        value={content.needs}
        {...bounds("Plan", "needs")}
        placeholder={t`such as wraps, gloves, a bag for two`}
        onChange={(event) => put({ needs: event.target.value })}
      />
      <label htmlFor="plan-times">
        <Trans>Times that the voice calls</Trans>
      </label>
      <Select
        id="plan-times"
        mode="multiple"
        allowClear
        value={content.timeCalls ?? []}
        options={drills?.timeCalls ?? []}
        placeholder={t`those of the gym`}
        onChange={(timeCalls) => put({ timeCalls: timeCalls.length === 0 ? undefined : timeCalls })}
      />
      <span className="field-name">
        <Trans>Tracks: levels side by side on one clock</Trans>
      </span>
      <TrackFields content={content} onPut={put} />
      {document && document.problems.length > 0 && <p className="small">{document.problems[0]?.message}</p>}
    </Flex>
  );
}

interface TrackProps {
  content: PlanContent;
  onPut: (values: Partial<PlanContent>) => void;
}

/** The tracks of a session: levels that work side by side. */
function TrackFields({ content, onPut }: TrackProps) {
  const track = (at: number, values: Partial<PlanContent["tracks"][number]>) =>
    onPut({ tracks: content.tracks.map((one, place) => (place === at ? { ...one, ...values } : one)) });
  const remove = (at: number) =>
    onPut({
      tracks: content.tracks.filter((_, place) => place !== at),
      // Tracks are identified by number, so later ones move up.
      blocks: content.blocks.map((block) => ({
        ...block,
        rounds: block.rounds.map((round) => ({
          ...round,
          tracks: round.tracks
            ?.filter((own) => own.track !== at)
            .map((own) => (own.track > at ? { ...own, track: own.track - 1 } : own)),
        })),
      })),
    });
  return (
    <>
      {content.tracks.map((one, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a track is identified by its place
        <span key={at} className="pair">
          <Input
            value={one.name}
            {...bounds("PlanTrack", "name")}
            aria-label={t`Name of track ${at + 1}`}
            onChange={(event) => track(at, { name: event.target.value })}
          />
          <InputNumber
            min={1}
            max={3}
            value={one.level}
            aria-label={t`Level of track ${at + 1}`}
            onChange={(level) => track(at, { level: level ?? 2 })}
          />
          <Button aria-label={t`Take track ${at + 1} out`} onClick={() => remove(at)}>
            ✕
          </Button>
        </span>
      ))}
      {content.tracks.length < maxItems("Plan", "tracks") && (
        <Button
          onClick={() =>
            onPut({
              tracks: [
                ...content.tracks,
                { name: t`Level ${content.tracks.length + 1}`, level: Math.min(3, content.tracks.length + 1) },
              ],
            })
          }
        >
          <Trans>Add a track</Trans>
        </Button>
      )}
    </>
  );
}
