/** Returns the words before the contact: "left hook" for "left hook to the liver". */
export function beforeContact(words: string, contacts: string[]): string {
  const body = " to the body";
  return contacts.length > 0 && words.endsWith(body) ? words.slice(0, -body.length) : words;
}
