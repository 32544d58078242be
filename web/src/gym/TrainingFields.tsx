import { Trans } from "@lingui/react/macro";
import { Checkbox, Flex } from "antd";
import type { Training } from "../api/client";
import { Segmented } from "../ui/Segmented";
import { GROUPS, MEDIA, RULES } from "../ui/words";

/** The default before a gym has chosen. */
export const UNDECIDED: Training = { rules: "boxing", media: ["bag", "pads"], groups: ["open"] };

/** The fields for rules, media and groups. */
export function TrainingFields({ training, onChange }: { training: Training; onChange: (training: Training) => void }) {
  return (
    <Flex vertical gap="small" className="form-narrow">
      <span id="training-rules">
        <Trans>Rules</Trans>
      </span>
      <Segmented
        value={training.rules}
        onChange={(rules) => onChange({ ...training, rules })}
        options={RULES}
        aria-labelledby="training-rules"
      />
      <p className="small">
        <Trans>A new course starts with these rules. Each combination can have its own.</Trans>
      </p>
      <span id="training-media">
        <Trans>What you hit</Trans>
      </span>
      <Checkbox.Group<Training["media"][number]>
        value={training.media}
        onChange={(media) => media.length > 0 && onChange({ ...training, media })}
        options={MEDIA}
        aria-labelledby="training-media"
      />
      <span id="training-groups">
        <Trans>Groups</Trans>
      </span>
      <Checkbox.Group<Training["groups"][number]>
        value={training.groups}
        onChange={(groups) => groups.length > 0 && onChange({ ...training, groups })}
        options={GROUPS}
        aria-labelledby="training-groups"
      />
    </Flex>
  );
}
