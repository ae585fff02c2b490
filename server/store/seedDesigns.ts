import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { HOUSE_STYLES } from "../../designs/houseStyles.ts";
import type { StarterOutfit } from "../../designs/starter.ts";
import type { DesignStore, NewDesign } from "./designStore.ts";

const SEED = "seed-of-show";

/**
 * Fills a show with the field sets and house styles that ship, where it never had them, and with outfits and their templates: all
 * of it or nothing.
 */
export async function seedDesigns(
  designs: DesignStore,
  outfits: readonly StarterOutfit[],
  atMs: number,
): Promise<void> {
  // One that the venue has made its own keeps its name.
  const named = new Set(designs.list("style").map(({ published }) => published?.doc.name));
  await designs.addAll(
    [
      ...FIELD_SETS.map((doc): NewDesign => ({ kind: "fieldSet", id: doc.id, doc })),
      ...HOUSE_STYLES.filter(({ name }) => !named.has(name)).map(
        (doc): NewDesign => ({ kind: "style", id: idOf(doc.name), doc }),
      ),
      ...outfits.flatMap(designsOf),
    ],
    { actor: SEED, atMs, isDraft: false },
  );
}

function designsOf({ id, name, linesPerSlide, variants = [], templates }: StarterOutfit): NewDesign[] {
  const wears: Record<string, string[]> = {};
  const made = templates.map((doc): NewDesign => {
    const list = wears[doc.fieldSet] ?? [];
    wears[doc.fieldSet] = list;
    const templateId = `${id}-${doc.fieldSet}${list.length > 0 ? `-${list.length + 1}` : ""}`;
    list.push(templateId);
    return { kind: "template", id: templateId, doc };
  });
  return [
    ...made,
    { kind: "outfit", id, doc: { kind: "outfit", name, linesPerSlide, variants: [...variants], wears } },
  ];
}

const idOf = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]+/g, "-");
