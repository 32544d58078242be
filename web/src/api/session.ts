import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Permission, rememberToken, type Session } from "./client";
import { keys } from "./keys";

async function read(): Promise<Session> {
  const session = await answered(api.GET("/api/session"));
  rememberToken(session.csrfToken);
  return session;
}

export function useSession() {
  return useQuery({ queryKey: keys.session, queryFn: read, staleTime: Number.POSITIVE_INFINITY, retry: 2 });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { email: string; password: string }) => answered(api.POST("/api/session", { body })),
    onSuccess: async () => {
      // Signing in changes the session and its CSRF token.
      queries.setQueryData(keys.session, await read());
    },
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => answered(api.POST("/api/session/end")),
    onSettled: async () => {
      // First, so that the sign-in takes the place of the screens, whose data is removed then.
      queries.setQueryData(keys.session, await read());
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
    },
  });
}

/** Tells whether an account has a permission. The server checks it again with every request. */
export function may(user: Session["user"] | undefined, permission: Permission): boolean {
  return user?.permissions.includes(permission) ?? false;
}

/** Tells whether the coach who is signed in has a permission. */
export function useMay(permission: Permission): boolean {
  return may(useSession().data?.user, permission);
}
