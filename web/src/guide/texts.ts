const texts = import.meta.glob<string>("../../../docs/guide/*.md", { query: "?raw", import: "default", eager: true });
const pictures = import.meta.glob<string>(
  "../../../docs/screenshots/{bench,phone,balance,combination,house-rules,proposal,logbook-entry,measure}.png",
  { query: "?url", import: "default", eager: true },
);

/** Returns the Markdown of a page; undefined when it does not exist. */
export function textOf(id: string): string | undefined {
  return texts[`../../../docs/guide/${id}.md`];
}

/** Returns the URL of a picture in the guide. */
export function pictureOf(source: string): string | undefined {
  return pictures[`../../../docs/${source.replace("../", "")}`];
}
