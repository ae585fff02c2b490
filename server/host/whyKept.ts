import type { DesignRef } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { STAGE_NOTE } from "../../designs/fieldSets.ts";
import type { DesignStore } from "../store/designStore.ts";
import { docOf } from "../store/designStore.ts";
import type { HouseStore } from "../store/houseStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import { countPagesWith } from "./touches.ts";

/** Fields that the program itself fills: songs, readings, credits, the note to the stage. */
const FILLED_BY_THE_PROGRAM = new Set(["words", "reading", "credit", STAGE_NOTE]);

interface Parts extends Pick<Parameters<typeof countPagesWith>[0], "evenings" | "rundown"> {
  readonly designs: DesignStore;
  readonly house: HouseStore;
  readonly screens: ScreenStore;
}

/** Why a thing of Design cannot be deleted, in a sentence; undefined where it can. */
export async function whyKept(parts: Parts, { kind, id }: DesignRef): Promise<string | undefined> {
  const { designs, house, screens } = parts;
  switch (kind) {
    case "template": {
      const template = designs.find("template", id);
      if (!template?.published) return undefined;
      const { fieldSet, name } = template.published.doc;
      const outfit = designs.list("outfit").find(({ published }) => {
        const offered = published?.doc.wears[fieldSet] ?? [];
        const others = offered.filter((other) => other !== id && designs.find("template", other)?.published);
        return offered.includes(id) && others.length === 0;
      });
      return (
        outfit &&
        t`“${name}” is the only one that the outfit “${docOf(outfit).name}” has for these fields, so it stays. Make another first; nothing was changed.`
      );
    }
    case "style":
      return house.styleId === id
        ? t`The show wears this style, so it stays. Use another first; nothing was changed.`
        : undefined;
    case "outfit": {
      const plans = screens.plans.filter(({ outputs }) =>
        Object.values(outputs).some(({ outfitId }) => outfitId === id),
      );
      return plans.length > 0
        ? t`Screens wear this outfit in ${plans.map(({ name }) => `“${name}”`).join(", ")}, so it stays. Give them another first; nothing was changed.`
        : undefined;
    }
    case "fieldSet": {
      if (FILLED_BY_THE_PROGRAM.has(id))
        return t`Songs, readings and notes fill these fields by themselves, so they stay. Nothing was changed.`;
      const pages = await countPagesWith(parts, id);
      return pages > 0
        ? t`${pages === 1 ? t`A page has` : t`${pages} pages have`} these fields, so they stay. Delete what has them first; nothing was changed.`
        : undefined;
    }
  }
}
