/** Returns the text with a range replaced. Positions count Unicode characters, as on the server. */
export function replaceCharacters(text: string, { at, length }: { at: number; length: number }, by: string): string {
  const characters = Array.from(text);
  return characters.slice(0, at).join("") + by + characters.slice(at + length).join("");
}
