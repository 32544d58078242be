/** A text with something else in place of a stretch of it. Places count Unicode characters, as the server counts them. */
export function replaceCharacters(text: string, { at, length }: { at: number; length: number }, by: string): string {
  const characters = Array.from(text);
  return characters.slice(0, at).join("") + by + characters.slice(at + length).join("");
}
