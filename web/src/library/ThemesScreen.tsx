import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import { useMay } from "../api/session";
import { useThemes } from "../api/useThemes";
import { useRenameTheme } from "../library-search/useLibrary";
import { GymNav } from "../ui/GymNav";
import { Loaded } from "../ui/Loaded";
import { useNotice } from "../ui/useNotice";
import "../ui/gym.css";
import "./library.css";

/** The themes of the library with their combinations; the head coach renames or merges them. */
export default function ThemesScreen() {
  const mayRename = useMay("EDIT_LIBRARY");
  const themes = useThemes();
  const rows = themes.data ?? [];
  const [renaming, setRenaming] = useState<string | null>(null);
  return (
    <main className="page">
      <GymNav />
      <h1>
        <Trans>Themes</Trans>
      </h1>
      <p className="small">
        {mayRename
          ? t`Renaming a theme to the name of another merges the two. Every combination that had it gets a new version.`
          : t`The head coach renames and merges themes.`}
      </p>
      <Loaded query={themes} what={t`Loading the themes`} />
      {themes.data && rows.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>No themes yet</Trans>
          </h2>
          <p>
            <Trans>Give a combination a theme when you save it, such as slips, liver or low kick.</Trans>
          </p>
        </div>
      )}
      {rows.length > 0 && (
        <table className="panel plain-table themes">
          <thead>
            <tr>
              <th scope="col">
                <Trans>Theme</Trans>
              </th>
              <th scope="col">
                <Trans>Combinations</Trans>
              </th>
              {mayRename && <td />}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ theme, combinations }) => (
              <tr key={theme}>
                <td>
                  {renaming === theme ? (
                    <Rename theme={theme} others={rows.map((row) => row.theme)} onEnd={() => setRenaming(null)} />
                  ) : (
                    <Link to={`/library?q=${encodeURIComponent(`theme ${theme}`)}`}>{theme}</Link>
                  )}
                </td>
                <td>{combinations}</td>
                {mayRename && (
                  <td>
                    {renaming !== theme && (
                      <Button size="small" onClick={() => setRenaming(theme)}>
                        <Trans>Rename</Trans>
                      </Button>
                    )}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </main>
  );
}

function Rename({ theme, others, onEnd }: { theme: string; others: string[]; onEnd: () => void }) {
  const [to, setTo] = useState(theme);
  const rename = useRenameTheme();
  const notice = useNotice();
  const wanted = to.trim().toLowerCase();
  const merges = wanted !== theme && others.includes(wanted);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    rename.mutate(
      { from: theme, to: wanted },
      {
        onSuccess: ({ combinations }) => {
          const said = t`“${theme}” is “${wanted}” now in ${combinations} combinations.`;
          // Merged themes cannot be separated again.
          merges
            ? notice.done(said)
            : notice.undo(said, () => rename.mutate({ from: wanted, to: theme }, { onError: notice.failed }));
          onEnd();
        },
        onError: notice.failed,
      },
    );
  };
  return (
    <Flex component="form" wrap gap="small" onSubmit={submit}>
      <Input
        autoFocus
        value={to}
        {...bounds("ThemeRequest", "to")}
        onChange={(event) => setTo(event.target.value)}
        aria-label={t`New name of ${theme}`}
      />
      <Button type="primary" htmlType="submit" loading={rename.isPending} disabled={wanted === "" || wanted === theme}>
        {merges ? t`Merge with “${wanted}”` : t`Rename`}
      </Button>
      <Button onClick={onEnd}>
        <Trans>Cancel</Trans>
      </Button>
    </Flex>
  );
}
