import { t } from "@lingui/core/macro";
import { Flex, Slider } from "antd";
import type { ReactNode } from "react";
import { Toolbar } from "../ui/Toolbar";
import { SHORTCUTS } from "../ui/useShortcut";
import { TEMPOS } from "../ui/words";
import type { Play } from "./usePlay";
import "./play.css";

/** Speed in per cent of the working tempo. */
const percent = (tempo: number) => Math.round(100 / tempo);

interface Props {
  play: Play;
  withTempo?: boolean;
  /** More buttons beside it. */
  children?: ReactNode;
}

/** Plays and stops a line, with a choice of tempo. */
export function PlayBar({ play, withTempo = true, children }: Props) {
  return (
    <Flex wrap align="center" gap="small" className="play-bar">
      <Toolbar label={t`Play the line`} className="play-keys">
        <button
          type="button"
          className="play-press"
          disabled={!play.can}
          aria-pressed={play.plays}
          onClick={play.press}
          title={t`Play or stop (${SHORTCUTS.play.shown})`}
        >
          <span aria-hidden="true">{play.plays ? "■" : "▶"}</span> {play.plays ? t`Stop` : t`Play`}
        </button>
        {withTempo &&
          TEMPOS.map(({ value, name }) => (
            <button
              key={name}
              type="button"
              className="play-tempo"
              aria-pressed={play.tempo === value}
              onClick={() => play.choose(value)}
            >
              {name}
            </button>
          ))}
        {children && <span className="play-more">{children}</span>}
      </Toolbar>
      {withTempo && (
        <>
          <Slider
            className="play-slider"
            min={50}
            max={140}
            step={5}
            value={percent(play.tempo)}
            onChange={(value: number) => play.choose(100 / value)}
            tooltip={{ open: false }}
            ariaLabelForHandle={t`Tempo of playing, per cent of working tempo`}
          />
          <span className="play-percent">{percent(play.tempo)} %</span>
        </>
      )}
    </Flex>
  );
}
