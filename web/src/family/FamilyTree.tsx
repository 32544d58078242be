import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Link } from "react-router";
import type { FamilyOfOne, Relative } from "../api/client";
import "./family.css";

interface Node {
  one: Relative;
  children: Node[];
}

const MAX_DEPTH = 3;
const MAX_WIDTH = 8;

function grow(id: number, all: FamilyOfOne["descendants"]): Node[] {
  return all.filter((one) => one.parent === id).map((one) => ({ one, children: grow(one.id, all) }));
}

function count(nodes: Node[]): number {
  return nodes.reduce((sum, node) => sum + 1 + count(node.children), 0);
}

/** Shows what a combination grew from, above it, and what grows from it, below; each is a link. */
export function FamilyTree({ self, family }: { self: Relative; family: FamilyOfOne }) {
  const children = grow(self.id, family.descendants);
  const alone = family.ancestors.length === 0 && children.length === 0;
  return (
    <section className="panel block family" aria-label={t`Family`}>
      <h2>
        <Trans>Family</Trans>
      </h2>
      {alone && (
        <p className="small">
          <Trans>
            No other combination is its start, and none starts with it yet. <Link to="/family">All families</Link>
          </Trans>
        </p>
      )}
      {!alone && (
        <Branch
          nodes={family.ancestors.reduceRight<Node[]>(
            (below, one) => [{ one, children: below }],
            [{ one: self, children }],
          )}
          self={self}
          before=""
          depth={-family.ancestors.length}
        />
      )}
      {family.contained.length > 0 && (
        <>
          <h3>
            <Trans>Holds as a part</Trans>
          </h3>
          <ul className="similar-list">
            {family.contained.map((one) => (
              <li key={one.id}>
                <Link to={`/combinations/${one.id}`}>{one.name}</Link> <span className="numbers">{one.text}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function Branch({ nodes, self, before, depth }: { nodes: Node[]; self: Relative; before: string; depth: number }) {
  const shown = nodes.slice(0, MAX_WIDTH);
  return (
    <ul className="branch">
      {shown.map(({ one, children }) => (
        <li key={one.id} className={one.id === self.id ? "branch-self" : ""}>
          <Link to={`/combinations/${one.id}`} aria-current={one.id === self.id ? "page" : undefined}>
            <Grown text={one.text} before={before} />
            <small>{one.name}</small>
          </Link>
          {children.length > 0 &&
            (depth < MAX_DEPTH ? (
              <Branch nodes={children} self={self} before={one.text} depth={depth + 1} />
            ) : (
              <small className="branch-more">
                <Trans>
                  {count(children)} more <Plural value={count(children)} one="grows" other="grow" /> from it
                </Trans>
              </small>
            ))}
        </li>
      ))}
      {nodes.length > shown.length && (
        <li className="branch-more">
          <Trans>and {nodes.length - shown.length} more</Trans>
        </li>
      )}
    </ul>
  );
}

/** The chain with the items it shares with its parent in grey, so that the additions are visible. */
function Grown({ text, before }: { text: string; before: string }) {
  const [items, those] = [text.split(" "), before.split(" ")];
  const differs = items.findIndex((item, at) => item !== those[at]);
  const shared = differs < 0 ? items.length : differs;
  return (
    <span className="numbers">
      {shared > 0 && <i>{items.slice(0, shared).join(" ")} </i>}
      {items.slice(shared).join(" ")}
    </span>
  );
}
