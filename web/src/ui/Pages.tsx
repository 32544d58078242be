import { Pagination } from "antd";

interface Props {
  page: number;
  /** The number of rows on a page. */
  size: number;
  total: number;
  onPage: (page: number) => void;
}

/** Turns the pages of a list; nothing where one page holds it. */
export function Pages({ page, size, total, onPage }: Props) {
  return total <= size ? null : (
    <Pagination
      className="pages"
      current={page}
      pageSize={size}
      total={total}
      showSizeChanger={false}
      onChange={onPage}
    />
  );
}
