import { LRUCache } from "lru-cache";

/** Texts whose answers are kept for each function. */
const KEPT = 4_000;

/** A function of a text that works out each text once, as long as not too many others come between. */
export function oncePerText<Made>(make: (text: string) => Made): (text: string) => Made {
  const known = new LRUCache<string, { readonly made: Made }>({ max: KEPT });
  return (text) => {
    const was = known.get(text);
    if (was) return was.made;
    const made = make(text);
    known.set(text, { made });
    return made;
  };
}
