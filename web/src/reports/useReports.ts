import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";

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
  return useQuery({
    queryKey: keys.report("drilled", query),
    queryFn: ({ signal }) => answered(api.GET("/api/reports/drilled", { params: { query }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useLoad(asked: Asked) {
  return useQuery({
    queryKey: keys.report("load", asked),
    queryFn: ({ signal }) => answered(api.GET("/api/reports/load", { params: { query: asked }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useLinks(asked: Asked) {
  return useQuery({
    queryKey: keys.report("links", asked),
    queryFn: ({ signal }) => answered(api.GET("/api/reports/links", { params: { query: asked }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useMonth(month: string | null) {
  return useQuery({
    queryKey: keys.report("month", { month }),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/reports/month", { params: { query: month ? { month } : {} }, signal })),
    placeholderData: keepPreviousData,
  });
}

export function useDue(course: number | undefined) {
  return useQuery({
    queryKey: keys.report("due", { course }),
    queryFn: ({ signal }) =>
      answered(api.GET("/api/courses/{id}/due", { params: { path: { id: course ?? 0 } }, signal })),
    enabled: course !== undefined,
  });
}

export function usePath(course: number | undefined, to: number | undefined) {
  return useQuery({
    queryKey: keys.report("path", { course, to }),
    queryFn: ({ signal }) =>
      answered(
        api.GET("/api/courses/{id}/path", {
          params: { path: { id: course ?? 0 }, query: { to: to ?? 0 } },
          signal,
        }),
      ),
    enabled: course !== undefined && to !== undefined,
  });
}
