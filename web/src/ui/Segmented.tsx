import { Segmented as Buttons, type SegmentedProps } from "antd";

/** A choice of a few options; one tab stop with arrow keys inside. Ant Design's own would be two. */
export function Segmented<T extends string | number>(props: SegmentedProps<T>) {
  return <Buttons<T> {...props} tabIndex={-1} />;
}
