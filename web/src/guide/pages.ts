import { t } from "@lingui/core/macro";
/** The pages of the guide in order; each is a file of docs/guide. */
export const PAGES: { id: string; title: string }[] = [
  { id: "first-hour", title: t`First hour` },
  { id: "writing", title: t`Writing` },
  { id: "reading-the-line", title: t`Reading the line` },
  { id: "planning", title: t`Planning a class` },
  { id: "mirroring", title: t`Mirroring` },
  { id: "house-rules", title: t`House rules` },
  { id: "reviewing", title: t`Reviewing` },
  { id: "logbook", title: t`Logbook` },
];
