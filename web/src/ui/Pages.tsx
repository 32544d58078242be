import type { PaginationProps } from "antd";
import { Suspense } from "react";
import { screen } from "./screens";

const Pagination = screen<PaginationProps>(() => import("antd/es/pagination"));

interface Props {
  page: number;
  /** The number of rows on a page. */
  size: number;
  total: number;
  onPage: (page: number) => void;
}

/** Turns the pages of a list; nothing where one page holds it. Ant Design's part is loaded for a list that is longer. */
export function Pages({ page, size, total, onPage }: Props) {
  return total <= size ? null : (
    <Suspense>
      <Pagination
        className="pages"
        current={page}
        pageSize={size}
        total={total}
        showSizeChanger={false}
        onChange={onPage}
      />
    </Suspense>
  );
}
