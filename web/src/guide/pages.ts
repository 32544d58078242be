/** The pages of the guide in order; each is a file of docs/guide. */
export const PAGES: { id: string; title: string }[] = [
  { id: "first-hour", title: "First hour" },
  { id: "writing", title: "Writing" },
  { id: "reading-the-line", title: "Reading the line" },
  { id: "mirroring", title: "Mirroring" },
  { id: "house-rules", title: "House rules" },
  { id: "reviewing", title: "Reviewing" },
  { id: "logbook", title: "Logbook" },
];
