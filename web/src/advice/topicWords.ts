import { t } from "@lingui/core/macro";

/** Returns the topic of a reminder or a fault in words. */
export function topicWords(topic: string): string {
  return topic === "all"
    ? t`everything`
    : topic.startsWith("cause:")
      ? t`a wait for: ${topic.slice(6)}`
      : topic.replaceAll("-", " ");
}
