/** Returns an id that none of the rows has. */
export function freshId(stem: string, rows: { id: string }[]): string {
  let number = rows.length + 1;
  while (rows.some((row) => row.id === `${stem}-${number}`)) {
    number++;
  }
  return `${stem}-${number}`;
}
