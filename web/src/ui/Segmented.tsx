import { Segmented as Buttons, type SegmentedProps } from "antd";

/** One of a few, in sight at once: a single stop for Tab, with arrows inside. Ant Design's own would be two. */
export function Segmented<T extends string | number>(props: SegmentedProps<T>) {
  return <Buttons<T> {...props} tabIndex={-1} />;
}
