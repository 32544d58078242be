import type { ThemeConfig } from "antd";
import palette from "../../../core/data/palette.json";

const { colours } = palette;

/** The colours of the palette, for what Ant Design draws. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: colours.ink,
    colorInfo: colours.lead,
    colorSuccess: colours.success,
    colorWarning: colours.warning,
    colorError: colours.breaks,
    colorLink: colours.lead,
    colorBgBase: colours.card,
    colorBgLayout: colours.paper,
    colorTextBase: colours.ink,
    colorBorder: colours.border,
    colorBorderSecondary: colours["border-soft"],
    colorTextPlaceholder: colours.placeholder,
    borderRadius: 5,
    fontFamily: '"IBM Plex Sans", sans-serif',
    fontSize: 15,
    controlHeight: 38,
    // Without motion: a button whose answer came within its fade kept its spinner, and its name, for good.
    motion: false,
  },
  components: {
    Segmented: { trackBg: colours.track, itemSelectedBg: colours.card, itemColor: colours["track-ink"] },
    Drawer: { colorBgElevated: colours.card },
  },
};
