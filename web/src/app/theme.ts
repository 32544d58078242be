import { theme as ant, type ThemeConfig } from "antd";
import { useSyncExternalStore } from "react";
import palette from "../../../core/data/palette.json";
import { isDark, onAppearance } from "../ui/appearance";

/** Height in px of what is pressed with a finger. */
const FINGER = 44;
const isTouch = window.matchMedia?.("(pointer: coarse)").matches ?? false;

/** The theme of Ant Design in our palette. */
function themeOf(dark: boolean): ThemeConfig {
  const colours = dark ? palette.dark : palette.colours;
  return {
    algorithm: dark ? ant.darkAlgorithm : ant.defaultAlgorithm,
    token: {
      colorPrimary: colours.ink,
      colorInfo: colours.lead,
      colorSuccess: colours.success,
      colorWarning: colours.warning,
      colorError: colours.breaks,
      colorLink: colours.lead,
      colorBgBase: colours.card,
      colorBgContainer: colours.card,
      colorBgElevated: colours.card,
      colorBgLayout: colours.paper,
      colorTextBase: colours.ink,
      colorTextLightSolid: colours.card,
      colorBorder: colours.border,
      colorBorderSecondary: colours["border-soft"],
      colorTextPlaceholder: colours.placeholder,
      controlItemBgActive: colours.sand,
      controlItemBgHover: colours.hover,
      borderRadius: 5,
      fontFamily: `"IBM Plex Sans", sans-serif`,
      fontSize: 15,
      controlHeight: isTouch ? FINGER : 38,
      ...(isTouch && { controlHeightSM: FINGER }),
      // No motion: a button whose answer came within its fade kept its spinner.
      motion: false,
    },
    components: {
      Segmented: { trackBg: colours.track, itemSelectedBg: colours.card, itemColor: colours["track-ink"] },
      Drawer: { colorBgElevated: colours.card },
      Button: { primaryColor: colours.card },
    },
  };
}

const THEMES = { light: themeOf(false), dark: themeOf(true) };

/** The theme that the coach has chosen, otherwise the device's. */
export function useTheme(): ThemeConfig {
  return useSyncExternalStore(onAppearance, isDark) ? THEMES.dark : THEMES.light;
}
