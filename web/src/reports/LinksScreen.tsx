import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { Link, useNavigate } from "react-router";
import type { LinkTrouble } from "../api/client";
import { useMay } from "../api/session";
import { CombinationLine } from "../combination-line/CombinationLine";
import { LinkZone } from "../combination-line/LinkZone";
import { Loaded } from "../ui/Loaded";
import { VerdictMark } from "../ui/VerdictMark";
import { NothingLogged, ReportHead } from "./ReportHead";
import { useAsked, useLinks } from "./useReports";

/** Links that fell apart in class or were measured slower, compared with the check. */
export default function LinksScreen() {
  const [asked] = useAsked();
  const report = useLinks(asked);
  const links = report.data?.links ?? [];
  return (
    <main className="page">
      <ReportHead title={t`Links that fall apart`} />
      <p className="small report-lead">
        <Trans>
          What coaches marked after class, and what was measured, beside what the check says. Where several disagree
          with it in the same direction, a number of the model or a school may not be that of your athletes.
        </Trans>
      </p>
      <Loaded query={report} what={t`Checking the links`} />
      {report.data && links.length === 0 && (
        <NothingLogged what={t`Mark the link that fell apart in a session, or measure a combination.`} />
      )}
      <ul className="trouble-list">
        {links.map((link) => (
          <Trouble key={`${link.combination.id} ${link.link}`} link={link} />
        ))}
      </ul>
    </main>
  );
}

function Trouble({ link }: { link: LinkTrouble }) {
  const mayEditRules = useMay("EDIT_HOUSE_RULES");
  const navigate = useNavigate();
  const { measured, check } = link;
  return (
    <li className="panel trouble">
      <div className="trouble-line">
        <Link to={`/combinations/${link.combination.id}`}>
          <b>{link.combination.name}</b>
        </Link>
        {link.combination.line && (
          <CombinationLine
            drawing={link.combination.line}
            width={320}
            name={link.combination.name}
            overlay={(line) => <LinkZone line={line} link={link.link} />}
          />
        )}
      </div>
      <div className="trouble-says">
        <h2>
          <Trans>
            {link.from} to {link.to}
          </Trans>
        </h2>
        <dl>
          <div>
            <dt>
              <Trans>in class</Trans>
            </dt>
            <dd>{link.fell === 0 ? t`held` : t`fell apart ${link.fell} of ${link.times} times`}</dd>
          </div>
          <div>
            <dt>
              <Trans>measured</Trans>
            </dt>
            <dd>
              {measured.count === 0
                ? t`not yet`
                : t`${Math.round(measured.median ?? 0)} ms, computed ${Math.round(measured.computed ?? 0)}; ${measured.slower} of ${measured.count} stop${measured.faster > 0 ? t`, ${measured.faster} faster` : ""}`}
            </dd>
          </div>
          <div>
            <dt>
              <Trans>the check</Trans>
            </dt>
            <dd>
              <VerdictMark verdict={check.verdict} /> {check.reason}
            </dd>
          </div>
        </dl>
        <p className={link.disagrees ? "trouble-disagrees" : "small"}>{link.says}</p>
        <p className="trouble-actions">
          {mayEditRules && link.disagrees && (
            <Button
              type="primary"
              onClick={() => navigate(`/house-rules?set=${link.rules}&part=numbers&of=${encodeURIComponent(link.of)}`)}
            >
              <Trans>Show the numbers of {link.to}</Trans>
            </Button>
          )}
          <Button onClick={() => navigate(`/combinations/${link.combination.id}/measure`)}>
            <Trans>Measure</Trans>
          </Button>
          <Button onClick={() => navigate(`/bench/${link.combination.id}`)}>
            <Trans>Fix on the bench</Trans>
          </Button>
        </p>
      </div>
    </li>
  );
}
