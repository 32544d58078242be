import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Select } from "antd";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";
import { useIsHeadCoach } from "../api/session";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { useNotice } from "../ui/useNotice";
import { Waiting } from "../ui/Waiting";

/** The time zone of the gym, in which every time of the product is meant and shown. */
export default function SettingsScreen() {
  const queries = useQueryClient();
  const notice = useNotice();
  const head = useIsHeadCoach();
  const gym = useQuery({ queryKey: keys.gym, queryFn: ({ signal }) => answered(api.GET("/api/gym", { signal })) });
  const save = useMutation({
    mutationFn: (timeZone: string) => answered(api.PUT("/api/gym/time-zone", { body: { timeZone } })),
    onSuccess: async (_, timeZone) => {
      await queries.invalidateQueries();
      notice.done(`All times are shown in ${timeZone}.`);
    },
  });
  return (
    <main className="page">
      <GymNav />
      <h1>Time zone</h1>
      <section className="panel block">
        <Failure error={gym.error ?? save.error} />
        {gym.data ? (
          <div className="stack">
            <label htmlFor="time-zone">Of {gym.data.name}</label>
            <Select
              id="time-zone"
              showSearch={{ optionFilterProp: "label" }}
              value={gym.data.timeZone}
              disabled={!head}
              loading={save.isPending}
              options={gym.data.timeZones.map((zone) => ({ value: zone, label: zone.replaceAll("_", " ") }))}
              onChange={(zone) => save.mutate(zone)}
            />
            <p className="small">
              Sessions begin at the time of the gym, wherever the coach is. What is planned keeps its moment: when the
              zone changes, the clock that it is shown at changes with it.
            </p>
          </div>
        ) : (
          <Waiting what="Looking" />
        )}
      </section>
    </main>
  );
}
