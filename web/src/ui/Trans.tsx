import { i18n } from "@lingui/core";
import type { TransProps } from "@lingui/react";
import { TransNoContext } from "@lingui/react/server";

/** Renders the messages of the Trans macro; the language is chosen when the page loads, so no context is needed. */
export function Trans(props: TransProps) {
  return <TransNoContext {...props} lingui={{ i18n }} />;
}
