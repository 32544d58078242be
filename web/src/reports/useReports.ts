import { keepPreviousData } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { server } from "../api/client";

/** Period and course of a report, both in the URL so that it can be shared. */
export interface Asked {
  from?: string;
  to?: string;
  course?: number;
}

/** The current period and course, and a function to change them. */
export function useAsked(): [Asked, (change: Record<string, string | null>) => void, URLSearchParams] {
  const [address, setAddress] = useSearchParams();
  const asked: Asked = {};
  for (const name of ["from", "to"] as const) {
    const value = address.get(name);
    if (value) {
      asked[name] = value;
    }
  }
  const course = Number(address.get("course"));
  if (course > 0) {
    asked.course = course;
  }
  const put = (change: Record<string, string | null>) =>
    setAddress(
      (now) => {
        for (const [name, value] of Object.entries(change)) {
          if (value === null || value === "") {
            now.delete(name);
          } else {
            now.set(name, value);
          }
        }
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  return [asked, put, address];
}

export type DrilledSort = "last" | "times" | "minutes" | "southpaw" | "fell";

export function useDrilled(asked: Asked, sort: DrilledSort, direction: "up" | "down", page: number) {
  const query = { ...asked, sort, direction, page };
  return server.useQuery("get", "/api/reports/drilled", { params: { query } }, { placeholderData: keepPreviousData });
}

export function useLoad(asked: Asked) {
  return server.useQuery(
    "get",
    "/api/reports/load",
    { params: { query: asked } },
    { placeholderData: keepPreviousData },
  );
}

export function useLinks(asked: Asked) {
  return server.useQuery(
    "get",
    "/api/reports/links",
    { params: { query: asked } },
    { placeholderData: keepPreviousData },
  );
}

export function useFaults(asked: Asked) {
  return server.useQuery(
    "get",
    "/api/reports/faults",
    { params: { query: asked } },
    { placeholderData: keepPreviousData },
  );
}

export function usePlanned(asked: Asked) {
  return server.useQuery(
    "get",
    "/api/reports/planned",
    { params: { query: asked } },
    { placeholderData: keepPreviousData },
  );
}

export function useMonth(month: string | null) {
  return server.useQuery(
    "get",
    "/api/reports/month",
    { params: { query: month ? { month } : {} } },
    { placeholderData: keepPreviousData },
  );
}

export function useDue(course: number | undefined) {
  return server.useQuery(
    "get",
    "/api/courses/{id}/due",
    { params: { path: { id: course ?? 0 } } },
    { enabled: course !== undefined },
  );
}

export function usePath(course: number | undefined, to: number | undefined) {
  return server.useQuery(
    "get",
    "/api/courses/{id}/path",
    { params: { path: { id: course ?? 0 }, query: { to: to ?? 0 } } },
    { enabled: course !== undefined && to !== undefined },
  );
}
