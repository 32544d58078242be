/** Returns a unique id, also on pages without TLS, where crypto.randomUUID is missing. */
export function newId(): string {
  return [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}
