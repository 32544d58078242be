/** The fields of empty sets, and the buttons that add a round. */
const PLACES = ".set-field.is-empty input, .add-round";

/** Focuses the next place to fill after an element: the field of an empty set, or the button for another round. */
export function focusNextPlace(after: HTMLElement): void {
  const next = [...document.querySelectorAll<HTMLElement>(PLACES)].find(
    (place) => !after.contains(place) && after.compareDocumentPosition(place) & Node.DOCUMENT_POSITION_FOLLOWING,
  );
  next?.focus();
}

/** Focuses the first empty field of a round, once it is there. */
export function focusFirstField(block: number, round: number): void {
  requestAnimationFrame(() => {
    const card = document.getElementById(`round-${block}-${round}`);
    card?.querySelector<HTMLElement>(".set-field.is-empty input")?.focus();
  });
}
