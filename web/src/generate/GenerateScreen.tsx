import { t } from "@lingui/core/macro";
import { useSearchParams } from "react-router";
import { useNumbering } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { CriteriaForm } from "./CriteriaForm";
import { criteriaOf } from "./criteria";
import { Results } from "./Results";
import { useGenerate } from "./useGenerate";
import "./generate.css";

/** Generates chains from criteria that the library does not have yet. */
export default function GenerateScreen() {
  const [address, setAddress] = useSearchParams();
  const criteria = criteriaOf(address, useNumbering());
  const generation = useGenerate(criteria);
  const put = (values: Record<string, string | number>) =>
    setAddress(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(values)) {
          value === "" ? next.delete(name) : next.set(name, String(value));
        }
        return next;
      },
      { replace: true, preventScrollReset: true },
    );
  return (
    <main className="page generate">
      <CriteriaForm criteria={criteria} onPut={put} />
      <section className="generation" aria-label={t`Generated chains`} aria-busy={generation.isFetching}>
        {generation.isError ? (
          <Failure error={generation.error} />
        ) : generation.data ? (
          <Results generation={generation.data} criteria={criteria} old={generation.isPlaceholderData} onPut={put} />
        ) : (
          <Loading what={t`Making chains`} />
        )}
      </section>
    </main>
  );
}
