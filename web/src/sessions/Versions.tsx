import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Drawer } from "antd";
import { answered, api, ifMatch, type Plan, server } from "../api/client";
import { Loaded } from "../ui/Loaded";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { dayAndTime } from "../ui/words";
import type { Planner } from "./usePlanner";

const CHANGES = {
  created: t`planned`,
  updated: t`changed`,
  archived: t`archived`,
  restored: t`restored`,
  back: t`restored an earlier version`,
};

/** Earlier versions of the session, one for each time somebody worked on it. */
export function Versions({ plan, planner, onClose }: { plan: Plan; planner: Planner; onClose: () => void }) {
  const notice = useNotice();
  const versions = server.useQuery(
    "get",
    "/api/plans/{id}/versions",
    { params: { path: { id: plan.id } } },
    { gcTime: 0 },
  );
  const back = async (version: number) => {
    try {
      await answered(
        api.POST("/api/plans/{id}/versions/{version}/bring-back", {
          params: { path: { id: plan.id, version }, header: { "If-Match": ifMatch(planner.version)["If-Match"] } },
        }),
      );
      await planner.takeTheirs();
      notice.done(t`Restored to version ${version}.`);
      onClose();
    } catch (error) {
      notice.failed(error);
    }
  };
  return (
    <Drawer getContainer={layers} open onClose={onClose} title={t`History`} size={420}>
      <Loaded query={versions} what={t`Loading the versions`} />
      <ul className="plan-rows">
        {versions.data?.versions.map((one) => (
          <li key={one.version}>
            <span>
              <b>{one.name}</b>
              <br />
              <small>
                <Trans>
                  {CHANGES[one.change]} by {one.editor.name}, {dayAndTime(one.createdAt)} ·{" "}
                  {Math.round(one.lengthMs / 60_000)} min
                </Trans>
              </small>
            </span>
            {one.version < planner.version && (
              <Button size="small" onClick={() => back(one.version)}>
                <Trans>Restore</Trans>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Drawer>
  );
}
