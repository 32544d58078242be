/** Returns the title of an entry: Tuesday beginners, 24 Nov. */
export function titleOf(name: string, day: string): string {
  const date = new Date(`${day}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short" });
  return `${name}, ${date}`;
}
