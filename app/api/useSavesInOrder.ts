import { useEffect, useState } from "react";
import { SavesInOrder } from "./savesInOrder.ts";

/** The document that is open, and how it is changed. Another document wants another key of its component. */
export function useSavesInOrder<T extends object>(
  revision: number,
  told: T,
  save: (doc: T, baseRevision: number) => Promise<boolean>,
): readonly [T, (part: Partial<T>) => void] {
  const [, redraw] = useState(0);
  const [saves] = useState(() => new SavesInOrder({ revision, doc: told }, save, () => redraw((n) => n + 1)));
  useEffect(() => saves.hear({ revision, doc: told }), [saves, revision, told]);
  return [saves.doc, (part) => saves.change(part)];
}
