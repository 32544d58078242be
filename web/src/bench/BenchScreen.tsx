import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link, useParams, useSearchParams } from "react-router";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { useCombination } from "../combination/useCombination";
import { useProposal } from "../review/useReview";
import { NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Bench } from "./Bench";
import { draftOf, draftOfProposal } from "./draft";

/** The bench for a new combination, a stored one, or a proposal. */
export default function BenchScreen() {
  const { id } = useParams();
  const [address] = useSearchParams();
  const proposalId = id === undefined ? Number(address.get("proposal")) || null : null;
  const combination = useCombination(id === undefined ? null : Number(id));
  const proposal = useProposal(proposalId);
  const numberings = useNumberings();
  const mine = useNumbering();
  // The bench works without the numberings if they cannot be loaded.
  if ((numberings.isPending && numberings.errorUpdateCount === 0) || (proposalId !== null && proposal.isPending)) {
    return <Loading />;
  }
  if (proposal.data) {
    const place = `proposal-${proposal.data.id}`;
    return <Bench key={place} id={place} stored={draftOfProposal(proposal.data, mine)} proposal={proposal.data} />;
  }
  if (id === undefined) {
    return <Bench key="new" id="new" stored={null} proposal={null} />;
  }
  if (combination.isError) {
    return (
      <NoPage error={combination.error}>
        <Link to="/library">
          <Trans>Go to the library</Trans>
        </Link>
      </NoPage>
    );
  }
  return combination.data ? (
    <Bench key={id} id={id} stored={draftOf(combination.data, mine)} proposal={null} />
  ) : (
    <Loading what={t`Loading the combination`} />
  );
}
