import type { Anchor } from "../rundown/anchor.ts";
import type { Output, ScreenPlan } from "../venue/plan.ts";

/**
 * What a step looks like on all screens, as a short key: a change of its words, templates, style, screens or plan makes another.
 * @param plan what it is seen under
 */
export function stepKey(
  contentHash: string,
  { occurrence, unit }: Anchor,
  plan: ScreenPlan,
  outputs: readonly Output[],
): string {
  const screens = outputs.map(({ id, widthPx, heightPx, region, backdrop }) => [
    id,
    widthPx,
    heightPx,
    region,
    backdrop,
  ]);
  return `${contentHash.slice(0, 24)}/${occurrence}/${unit}/${shortHash(JSON.stringify([plan, screens]))}`;
}

/** FNV-1a, 32 bits: to tell apart, not to protect. */
function shortHash(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(16);
}
