import { Pagination, Segmented } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Import } from "../api/client";
import { choicesOf, KINDS } from "./kinds";
import { useImportLines } from "./useImport";

/** What each entry of the file would do, or has done. */
export function ImportLines({ state }: { state: Import }) {
  const [kind, setKind] = useState("");
  const [page, setPage] = useState(1);
  const lines = useImportLines(state, kind, page);
  const choices = choicesOf(state);
  const total = choices.find((choice) => choice.value === kind)?.count ?? 0;
  return (
    <>
      <Segmented
        value={kind}
        onChange={(value) => {
          setKind(value);
          setPage(1);
        }}
        options={choices.map(({ value, label, count }) => ({ value, label: `${label} ${count}` }))}
        aria-label="Which entries"
      />
      <p className="small">
        {KINDS.find((one) => one.value === kind)?.says ?? "Every entry of the file, in its order."}
      </p>
      <div className="plain-scroll">
        <table className="plain-table import-lines">
          <tbody>
            {lines.data?.lines.map((line) => (
              <tr key={line.entry}>
                <td>
                  <span className={`import-kind import-${line.kind}`}>{line.kind}</span>
                </td>
                <td>
                  {line.content ? (
                    <>
                      <b>{line.content.name}</b> <span className="numbers">{line.content.text}</span>
                    </>
                  ) : (
                    <code>{line.source}</code>
                  )}
                  {line.message && (
                    <small>
                      {line.kind === "unreadable" && line.content ? `${line.source}: ` : ""}
                      {line.message} {line.combination && <Link to={`/combinations/${line.combination}`}>open</Link>}
                    </small>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {total > (lines.data?.size ?? 100) && (
        <Pagination
          className="pages"
          current={page}
          pageSize={lines.data?.size ?? 100}
          total={total}
          showSizeChanger={false}
          onChange={setPage}
        />
      )}
    </>
  );
}
