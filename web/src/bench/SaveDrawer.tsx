import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQuery } from "@tanstack/react-query";
import { Drawer, Flex, type InputRef } from "antd";
import { type FormEvent, useRef, useState } from "react";
import { Link } from "react-router";
import type { Check, CheckRequest, Matches } from "../api/client";
import { checkOf } from "../check/checkOf";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Alert } from "../ui/Alert";
import { layers } from "../ui/layers";
import type { Draft } from "./draft";
import { SaveFields } from "./SaveFields";
import { SAVE_WORDS, SaveFoot } from "./SaveFoot";
import { Similar } from "./Similar";
import type { Saving } from "./useSaving";

interface Props {
  /** Shows the picture of what is saved; undefined while loading. */
  check: Check | undefined;
  draft: Draft;
  isNew: boolean;
  /** The combination being changed; null for a new one. */
  except: number | null;
  saving: Saving;
  request: CheckRequest;
  similar: Matches | null | undefined;
  onChange: (change: Partial<Draft>, typed?: boolean) => void;
}

/** The drawer for the name and other fields of a combination. */
export function SaveDrawer({ check, draft, isNew, except, saving, request, similar, onChange }: Props) {
  const { doing, isWaiting } = saving;
  const nameless = draft.name.trim() === "";
  const [isAsked, setAsked] = useState(false);
  const picture = useQuery({
    ...checkOf({ ...request, draw: ["card"] }),
    enabled: saving.isOpen && check !== undefined,
  }).data?.check.drawings?.card;
  const field = useRef<InputRef>(null);
  // One entry serves both stances, because a chain is stored by lead and rear.
  const there = similar?.matches.find(({ relation, notation }) => relation === "same" && notation === check?.notation);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (nameless) {
      field.current?.focus();
    } else if (!isWaiting) {
      saving.send();
    }
  };
  return (
    <Drawer
      getContainer={layers}
      open={saving.isOpen}
      onClose={saving.close}
      title={isNew ? SAVE_WORDS[doing].isNew : SAVE_WORDS[doing].change}
      size={420}
      // The name has the focus; without motion the drawer would take it back.
      autoFocus={false}
      destroyOnHidden
      footer={
        <SaveFoot
          saving={saving}
          isNew={isNew}
          isNameMissing={nameless && isAsked}
          isDisabled={draft.text.trim() === "" || isWaiting || there !== undefined}
        />
      }
    >
      <Flex component="form" vertical gap="var(--space-2)" className="save-form" id="save-form" onSubmit={submit}>
        <p className="save-chain">{draft.text}</p>
        <p className="small">
          <Trans>Written for {draft.stance}.</Trans>
        </p>
        {there && (
          <Alert
            type="info"
            role="status"
            title={
              <Trans>
                This chain is in the library already: <Link to={`/combinations/${there.id}`}>{there.name}</Link>. One
                entry serves both stances; open it to read it as a southpaw. To keep it as another combination, change
                the chain.
              </Trans>
            }
          />
        )}
        {picture && <CombinationLine drawing={picture} name={t`Combination line of what is saved: ${draft.text}`} />}
        <SaveFields
          draft={draft}
          check={check}
          saving={saving}
          except={except}
          field={field}
          isNameMissing={nameless && isAsked}
          onGive={(part) => onChange(part, true)}
        />
        <Similar similar={similar} />
      </Flex>
    </Drawer>
  );
}
