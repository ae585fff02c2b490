/** What is wrong with a typed reference. */
export type ReferenceProblem =
  | { readonly kind: "notAReference"; readonly typed: string }
  | { readonly kind: "unknownBook"; readonly typed: string }
  | {
      readonly kind: "noSuchChapter";
      readonly book: string;
      readonly chapter: number;
      readonly chapters: number;
    }
  | {
      readonly kind: "noSuchVerse";
      readonly book: string;
      readonly chapter: number;
      readonly verse: number;
      readonly verses: number;
    }
  | { readonly kind: "backwards"; readonly typed: string }
  | { readonly kind: "tooLong"; readonly verses: number };
