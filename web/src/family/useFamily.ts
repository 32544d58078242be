import { server } from "../api/client";

export function useFamily(id: number) {
  return server.useQuery("get", "/api/combinations/{id}/family", { params: { path: { id } } });
}

export function useFamilyOverview() {
  return server.useQuery("get", "/api/family");
}
