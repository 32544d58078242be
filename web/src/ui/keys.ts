/** Whether the key goes into a field, so that it is no shortcut. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target;
  return (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    (target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)))
  );
}
