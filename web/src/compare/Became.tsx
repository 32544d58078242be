import { became } from "./difference";
import "./compare.css";

/** A chain as it became another: what came is marked, what went is struck. */
export function Became({ before, after }: { before: string; after: string }) {
  return (
    <span className="became numbers">
      {became(before.split(" "), after.split(" ")).map(({ text, kind }, at) => {
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
