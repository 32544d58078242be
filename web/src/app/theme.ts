import type { ThemeConfig } from "antd";

/** The same values as in app.css, for what Ant Design draws. */
export const theme: ThemeConfig = {
  token: {
    colorPrimary: "#1c2431",
    colorInfo: "#0d5a86",
    colorSuccess: "#4a6a1c",
    colorWarning: "#8f5200",
    colorError: "#a92a1c",
    colorLink: "#0d5a86",
    colorBgBase: "#fffdf7",
    colorBgLayout: "#f3eee2",
    colorTextBase: "#1c2431",
    colorBorder: "#cfc6b2",
    colorBorderSecondary: "#e2dac8",
    colorTextPlaceholder: "#6b6654",
    borderRadius: 5,
    fontFamily: '"IBM Plex Sans", sans-serif',
    fontSize: 15,
    controlHeight: 38,
    // Without motion: a button whose answer came within its fade kept its spinner, and its name, for good.
    motion: false,
  },
  components: {
    Segmented: { trackBg: "#e6dfcf", itemSelectedBg: "#fffdf7", itemColor: "#3d4352" },
    Drawer: { colorBgElevated: "#fffdf7" },
  },
};
