import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import Markdown, { type Components } from "react-markdown";
import { Link, NavLink, useParams } from "react-router";
import remarkGfm from "remark-gfm";
import { PAGES } from "./pages";
import { pictureOf, textOf } from "./texts";
import "../ui/gym.css";
import "./guide.css";

const PARTS: Components = {
  img: ({ src, alt }) => <img src={pictureOf(String(src))} alt={alt ?? ""} loading="lazy" />,
  // Links out of the guide lead to files that the application does not have.
  a: ({ children }) => <cite>{children}</cite>,
  table: ({ children }) => (
    <div className="plain-scroll">
      <table className="plain-table">{children}</table>
    </div>
  ),
};

/** The guide, in seven short pages. */
export default function GuideScreen() {
  const { id = PAGES[0]?.id ?? "" } = useParams();
  const text = textOf(id);
  const at = PAGES.findIndex((page) => page.id === id);
  const next = PAGES[at + 1];
  return (
    <main className="page guide">
      <Flex
        component="nav"
        wrap
        gap="var(--space-1) var(--space-3)"
        className="gym-nav guide-pages"
        aria-label={t`Guide`}
      >
        {PAGES.map((page) => (
          <NavLink key={page.id} to={`/guide/${page.id}`}>
            {page.title}
          </NavLink>
        ))}
      </Flex>
      {text === undefined && (
        <>
          <h1>
            <Trans>There is no such page in the guide</Trans>
          </h1>
          <p>
            <Link to="/guide">
              <Trans>To the first page</Trans>
            </Link>
          </p>
        </>
      )}
      {text !== undefined && (
        <article className="panel guide-text">
          <Markdown components={PARTS} remarkPlugins={[remarkGfm]}>
            {text}
          </Markdown>
          {next && (
            <p>
              <Link to={`/guide/${next.id}`}>
                <Trans>Next: {next.title}</Trans>
              </Link>
            </p>
          )}
        </article>
      )}
    </main>
  );
}
