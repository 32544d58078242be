const texts = import.meta.glob<string>("../../../docs/guide/*.md", { query: "?raw", import: "default", eager: true });
const pictures = import.meta.glob<string>(
  "../../../docs/screenshots/{bench,phone,balance,combination,house-rules,proposal,logbook-entry,measure}.png",
  { query: "?url", import: "default", eager: true },
);

/** The text of a page, in Markdown; undefined when there is no such page. */
export function textOf(id: string): string | undefined {
  return texts[`../../../docs/guide/${id}.md`];
}

/** Where a picture of the guide is served. */
export function pictureOf(source: string): string | undefined {
  return pictures[`../../../docs/${source.replace("../", "")}`];
}
