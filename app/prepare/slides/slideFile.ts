import { languageCode, t } from "../../../core/language/t.ts";
/** A slide before it is in the library. */
export interface ReadSlide {
  readonly picture: Blob;
  readonly words: string;
  readonly notes: string;
}

/** What somebody brought: slides that are read one after another, so that few of them are in memory. */
export interface SlideFile {
  readonly count: number;
  /** What has to be known of it before; null: nothing. */
  readonly told: string | null;
  readonly read: (index: number) => Promise<ReadSlide | { readonly problem: string }>;
  readonly close: () => void;
}

/** What each picture is called, where they have names of their own. */
export interface NamedPicture {
  readonly name: string;
  readonly picture: Blob;
}

/** Pictures as slides, in the order of their names: 2 comes before 10. */
export function picturesAsSlides(
  pictures: readonly NamedPicture[],
): SlideFile & { readonly names: readonly string[] } {
  const inOrder = [...pictures].sort((a, b) =>
    a.name.localeCompare(b.name, languageCode(), { numeric: true }),
  );
  return {
    count: inOrder.length,
    told: null,
    names: inOrder.map(({ name }) => withoutEnding(name)),
    read: async (index) => {
      const one = inOrder[index];
      return one ? { picture: one.picture, words: "", notes: "" } : { problem: t`it is gone` };
    },
    close: () => {},
  };
}

/** "Harbour plan" of "Talks/Harbour plan.pdf". */
export const withoutEnding = (name: string): string =>
  (name.split("/").at(-1) ?? name).replace(/\.[a-z0-9]{2,5}$/i, "").trim() || name;

export const isPicture = (name: string): boolean => /\.(png|jpe?g|webp|avif|gif)$/i.test(name);
