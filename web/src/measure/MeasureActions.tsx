import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { Measured } from "../api/client";
import { newId } from "../api/newId";
import { useNotice } from "../ui/useNotice";
import { type Method, useDeleteMeasurement, useSaveMeasurement } from "./useMeasure";

interface ActionsProps {
  combination: number;
  tapping: { taps: number[]; method: Method; isSample: boolean };
  measured: Measured | undefined;
  onTaps: (taps: number[]) => void;
  onClear: () => void;
}

/** Saves a measurement, mends its taps, or begins again. */
export function MeasureActions({ combination, tapping, measured, onTaps, onClear }: ActionsProps) {
  const { taps, method, isSample } = tapping;
  const save = useSaveMeasurement(combination);
  const shelve = useDeleteMeasurement();
  const notice = useNotice();
  return (
    <div className="measure-actions">
      <Button
        type="primary"
        disabled={isSample || !measured || measured.repetitions.length === 0}
        loading={save.isPending}
        onClick={() =>
          save.mutate(
            { id: newId(), taps, method },
            {
              onSuccess: ({ id }) => {
                onClear();
                notice.undo(t`Saved, without a name.`, () => shelve.mutate({ id, restore: false }));
              },
              onError: notice.failed,
            },
          )
        }
      >
        <Trans>Save</Trans>
      </Button>
      {measured && measured.extra.length > 0 && (
        <Button onClick={() => onTaps(taps.filter((_, at) => !measured.extra.includes(at)))}>
          <Trans>Delete superfluous taps</Trans>
        </Button>
      )}
      {taps.length > 0 && (
        <Button onClick={onClear}>
          <Trans>Begin again</Trans>
        </Button>
      )}
    </div>
  );
}
