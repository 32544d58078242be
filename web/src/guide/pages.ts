/** The pages of the guide in their order; each is a file of docs/guide. */
export const PAGES: { id: string; title: string }[] = [
  { id: "first-hour", title: "First hour" },
  { id: "writing", title: "Writing" },
  { id: "reading-the-line", title: "Reading the line" },
  { id: "mirroring", title: "Mirroring" },
  { id: "house-rules", title: "House rules" },
  { id: "reviewing", title: "Reviewing" },
];

const texts = import.meta.glob<string>("../../../docs/guide/*.md", { query: "?raw", import: "default" });
const pictures = import.meta.glob<string>(
  "../../../docs/screenshots/{bench,phone,balance,combination,house-rules,proposal}.png",
  { query: "?url", import: "default", eager: true },
);

/** @throws Error when there is no such page */
export async function textOf(id: string): Promise<string> {
  const load = texts[`../../../docs/guide/${id}.md`];
  if (!load) {
    throw new Error(`There is no page ${id} in the guide.`);
  }
  return load();
}

/** Where a picture of the guide is served. */
export function pictureOf(source: string): string | undefined {
  return pictures[`../../../docs/${source.replace("../", "")}`];
}
