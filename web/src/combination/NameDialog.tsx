import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { type FormEvent, useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { bounds } from "../api/bounds";
import type { Combination, SaveRequest } from "../api/client";
import { useMay } from "../api/session";
import { useNumbering } from "../api/useNumbering";
import { usePropose } from "../review/useReview";
import { Dialog } from "../ui/Dialog";
import { Failure } from "../ui/Failure";
import { ThemeSelect } from "../ui/ThemeSelect";
import { useNotice } from "../ui/useNotice";
import { useSave } from "./useCombination";

/** Changes the name, themes or note without the bench; the chain stays unchanged. */
export function NameDialog({
  combination,
  isOpen,
  onClose,
}: {
  combination: Combination;
  isOpen: boolean;
  onClose: () => void;
}) {
  const { store, reset, maySave, isPending, error } = useStore(combination, onClose);
  const [name, setName] = useState(combination.name);
  const [themes, setThemes] = useState(combination.themes);
  const [note, setNote] = useState(combination.note);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it begins with what is in use whenever it is opened
  useEffect(() => {
    if (isOpen) {
      setName(combination.name);
      setThemes(combination.themes);
      setNote(combination.note);
      reset();
    }
  }, [isOpen]);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    store({ name, themes, note });
  };
  return (
    <Dialog open={isOpen} onClose={onClose} title={t`Rename and tag`}>
      <Flex component="form" vertical gap="small" className="form-narrow" onSubmit={submit}>
        <label htmlFor="combination-name">
          <Trans>Name</Trans>
        </label>
        <Input
          id="combination-name"
          autoFocus
          value={name}
          {...bounds("SaveRequest", "name")}
          onChange={(event) => setName(event.target.value)}
        />
        <label htmlFor="combination-themes">
          <Trans>Themes</Trans>
        </label>
        <ThemeSelect id="combination-themes" value={themes} onChange={setThemes} />
        <label htmlFor="combination-note">
          <Trans>Note</Trans>
        </label>
        <Input.TextArea
          id="combination-note"
          rows={3}
          value={note}
          {...bounds("SaveRequest", "note")}
          onChange={(event) => setNote(event.target.value)}
        />
        <Failure error={error} />
        <Button type="primary" htmlType="submit" loading={isPending} disabled={name.trim() === ""}>
          {maySave ? t`Save` : t`Propose`}
        </Button>
      </Flex>
    </Dialog>
  );
}

type Named = Pick<SaveRequest, "name" | "themes" | "note">;

/** Saves the fields; a coach who may not proposes them. */
function useStore(combination: Combination, onSaved: () => void) {
  const maySave = useMay("EDIT_LIBRARY");
  const numbering = useNumbering();
  const navigate = useNavigate();
  const notice = useNotice();
  const save = useSave(combination.id);
  const propose = usePropose();
  const { text, stance, rules, level, levelChosen, version, id } = combination;
  const store = (named: Named) => {
    const body: SaveRequest = {
      text,
      numbering,
      stance,
      rules,
      level: levelChosen ? level : null,
      ...named,
    };
    if (maySave) {
      save.mutate(
        { body, basedOn: version },
        {
          onSuccess: () => {
            notice.done(t`Saved.`);
            onSaved();
          },
        },
      );
    } else {
      propose.mutate(
        { kind: "change", combination: id, basedOn: version, content: body },
        {
          onSuccess: (made) => {
            notice.done(t`Proposed. The current version stays in use until the head coach approves.`);
            void navigate(`/review/${made.id}`);
          },
        },
      );
    }
  };
  return {
    store,
    reset: () => {
      save.reset();
      propose.reset();
    },
    maySave,
    isPending: save.isPending || propose.isPending,
    error: save.error ?? propose.error,
  };
}
