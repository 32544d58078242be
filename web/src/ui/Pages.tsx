import type { PaginationProps } from "antd";
import { Suspense, useEffect, useState } from "react";
import { screen, whenIdle } from "./screens";

const Pagination = screen<PaginationProps>(() => import("antd/es/pagination"));

interface Props {
  page: number;
  /** The number of rows on a page. */
  size: number;
  total: number;
  onPage: (page: number) => void;
}

/**
 * Turns the pages of a list; nothing where one page holds it. It stands below the rows, and comes when they are there
 * and the browser has nothing else to do.
 */
export function Pages({ page, size, total, onPage }: Props) {
  const [isTime, setTime] = useState(false);
  useEffect(() => whenIdle(() => setTime(true)), []);
  return total <= size || !isTime ? null : (
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
