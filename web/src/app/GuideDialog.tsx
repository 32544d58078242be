import { t } from "@lingui/core/macro";
import { Link } from "react-router";
import { PAGES } from "../guide/pages";
import { Dialog } from "../ui/Dialog";
import { SHORTCUTS } from "../ui/useShortcut";

/** The pages of the guide, and the keys that work on every screen. */
export default function GuideDialog({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialog open={isOpen} onClose={onClose} title={t`Guide and keys`}>
      <p className="guide-links">
        {PAGES.map(({ id, title }) => (
          <Link key={id} to={`/guide/${id}`} onClick={onClose}>
            {title}
          </Link>
        ))}
      </p>
      <dl className="keys">
        {Object.values(SHORTCUTS).map(({ shown, does }) => (
          <div key={shown}>
            <dt>
              <kbd>{shown}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
