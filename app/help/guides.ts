import { GUIDE_IDS, type Guide, nameOfGuide, type Section, sectionsOf } from "./sections.ts";

const TEXTS = import.meta.glob<string>(
  ["../../docs/guide/*.md", "../../docs/kiosk.md", "../../docs/protocols.md", "../../docs/second-machine.md"],
  { query: "?raw", import: "default", eager: true },
);
const PICTURES = import.meta.glob<string>("../../docs/screenshots/{run,room}.png", {
  query: "?url",
  import: "default",
  eager: true,
});

const nameOfFile = (path: string): string =>
  path
    .split("/")
    .at(-1)
    ?.replace(/\.\w+$/, "") ?? "";

/** The documents for people, as they stand in the folder of documents. */
export const GUIDES: readonly Guide[] = GUIDE_IDS.map((id) => {
  const text = Object.entries(TEXTS).find(([path]) => nameOfFile(path) === id)?.[1];
  if (text === undefined) throw new Error(`There is no guide "${id}"`);
  return { id, name: nameOfGuide(text), text };
});

export const SECTIONS: readonly Section[] = GUIDES.flatMap(sectionsOf);

/** Where a picture of a guide lies in the program. */
export const pictureOf = (source: string): string | undefined =>
  Object.entries(PICTURES).find(([path]) => nameOfFile(path) === nameOfFile(source))?.[1];

/** The guide that a link of a guide leads to; undefined where it leads elsewhere. */
export const guideOfLink = (href: string): Guide | undefined =>
  GUIDES.find(({ id }) => /\.md(#|$)/.test(href) && nameOfFile(href.split("#")[0] ?? "") === id);
