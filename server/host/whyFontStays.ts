import { t } from "../../core/language/t.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import { contentsOf } from "../../core/show/state.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { FontStore } from "../store/fontStore.ts";
import { pinnedBy } from "../store/pinnedBy.ts";
import type { ShowHost } from "./showHost.ts";

interface Parts {
  readonly designs: DesignStore;
  readonly contents: ContentStore;
  readonly fonts: Pick<FontStore, "standsIn">;
  readonly host: ShowHost;
}

/** Why a font cannot be taken out, in a sentence; undefined where it can: pages that it is missing from would look otherwise. */
export function whyFontStays({ designs, contents, fonts, host }: Parts, fontId: string): string | undefined {
  const styles = designs
    .list("style")
    .flatMap(
      ({ draft, published }) => [draft, published?.doc].find((doc) => doc && hasFont(doc, fontId)) ?? [],
    );
  if (styles.length > 0)
    return t`${styles.map(({ name }) => `“${name}”`).join(", ")} ${styles.length === 1 ? t`uses` : t`use`} this font, so it stays. Choose another there first; nothing was changed.`;
  const pages = [...contentsOf(host.state)];
  const onAir = [...pages, ...pages.flatMap((content) => pinnedBy(contents.find(content)))].flatMap(
    (hash) => contents.find(hash) ?? [],
  );
  if (onAir.some((pinned) => pinned.kind === "style" && hasFont(pinned, fontId)))
    return t`What is on air, or what undo would bring back, is set in this font, so it stays. Nothing was changed.`;
  const words = onAir.filter(({ kind }) => kind === "page" || kind === "template");
  return fonts.standsIn(fontId, JSON.stringify(words))
    ? t`What is on air, or what undo would bring back, has letters that only this font draws, so it stays. Nothing was changed.`
    : undefined;
}

const hasFont = ({ fonts }: HouseStyle, fontId: string): boolean =>
  Object.values(fonts).some((typeface) => Object.values(typeface).some((cut) => cut?.includes(fontId)));
