import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import type { Measurements } from "../api/client";
import { useNotice } from "../ui/useNotice";
import { dayAndTime } from "../ui/words";
import { useDeleteMeasurement } from "./useMeasure";

/** The measurements that were saved, the newest first. */
export function SavedMeasurements({ measurements }: { measurements: Measurements["measurements"] }) {
  const shelve = useDeleteMeasurement();
  const notice = useNotice();
  return (
    <section className="panel block" aria-label={t`Saved measurements`}>
      <h2>
        <Trans>Saved measurements</Trans>
      </h2>
      <Flex component="ul" vertical gap="small" className="measure-saved">
        {measurements.map((one) => (
          <li key={one.id}>
            <span>
              {dayAndTime(one.createdAt)} · {one.coach} · {one.method === "taps" ? t`by tapping` : t`by sound`}
            </span>
            <span>
              {one.links.map((link) => (
                <i key={link.from} className={`verdict-${link.verdict}`} title={link.says}>
                  {link.median === null ? "–" : Math.round(link.median)}
                </i>
              ))}
              <Trans> ms</Trans>
            </span>
            <Button
              size="small"
              onClick={() =>
                shelve.mutate(
                  { id: one.id, restore: false },
                  {
                    onSuccess: () => notice.undo(t`Deleted.`, () => shelve.mutate({ id: one.id, restore: true })),
                    onError: notice.failed,
                  },
                )
              }
            >
              <Trans>Delete it</Trans>
            </Button>
          </li>
        ))}
      </Flex>
    </section>
  );
}
