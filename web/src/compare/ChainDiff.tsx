import { wordDiff } from "./difference";
import "./compare.css";

/** Shows how a chain changed: additions are marked, omissions are struck through. */
export function ChainDiff({ before, after }: { before: string; after: string }) {
  return (
    <span className="wordDiff numbers">
      {wordDiff(before.split(" "), after.split(" ")).map(({ text, kind }, at) => {
        const key = `${at} ${kind}`;
        return kind === "new" ? (
          <ins key={key}>{text} </ins>
        ) : kind === "gone" ? (
          <del key={key}>{text} </del>
        ) : (
          <span key={key}>{text} </span>
        );
      })}
    </span>
  );
}
