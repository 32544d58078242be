/** The location state with a page of notes that was pasted on the bench, for the import. */
export interface Pasted {
  pasted: string;
}
