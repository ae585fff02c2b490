import { randomUUID } from "node:crypto";
import { t } from "../../core/language/t.ts";
import type { FirstSteps } from "../../core/rundown/firstSteps.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import type { Actor } from "../../core/show/actor.ts";
import { type Output, outputSchema } from "../../core/venue/plan.ts";
import { firstEvening, OUTFIT_OF_USE } from "../../designs/firstEvening.ts";
import type { Services } from "./services.ts";

type Parts = Pick<
  Services,
  "designs" | "rundown" | "host" | "screens" | "editScreens" | "wearStyle" | "house" | "venue" | "now"
>;

/** Whether nothing was done in a show yet: nothing was taken, and its rundown is empty. */
export const isFresh = ({ rundown, host }: Pick<Services, "designs" | "rundown" | "host">): boolean =>
  rundown.views().length === 0 && host.state.line.at === null && host.state.recentTakeIds.length === 0;

/**
 * Makes what a house needs for its first evening: its name, style and screens, and a rundown with a backdrop and a corner mark that
 * are on the screens at once.
 * @returns a sentence when it cannot be done
 */
export async function takeFirstSteps(
  parts: Parts,
  { place, language, styleId, screens: wanted, text }: FirstSteps,
  actor: Extract<Actor, { kind: "desk" }>,
): Promise<string | undefined> {
  const { designs, rundown, host, screens, editScreens, wearStyle, house, venue, now } = parts;
  if (!isFresh(parts))
    return t`This show has been used already, so nothing was made. Change its screens and style in their views.`;
  const style = designs.find("style", styleId)?.published;
  if (!style) return t`No house style has that name. Nothing was made; choose another.`;
  await house.setPlace(place);
  await venue.save({ language });
  await wearStyle({ id: styleId, hash: style.hash, style: style.doc });
  const outputs = wanted.map(({ name, widthPx, heightPx, use }, index): Output => {
    const kept = screens.outputs[index];
    return outputSchema.parse({
      id: kept?.id ?? randomUUID().slice(0, 20),
      name,
      widthPx,
      heightPx,
      backdrop: use === "stream" ? "transparent" : "opaque",
      frameRate: "60",
      signal: "picture",
      sound: use === "hall",
      program: false,
    });
  });
  for (const output of outputs) {
    const refused = await editScreens({ kind: "saveOutput", output });
    if (refused !== undefined) return refused;
  }
  for (const { id } of screens.outputs)
    if (!outputs.some((output) => output.id === id))
      await editScreens({ kind: "removeOutput", outputId: id });
  const plan = screens.plans.find(({ id }) => id === host.state.plan.id);
  if (plan) {
    const layerIds = host.state.layers.map(({ id }) => id);
    const planned = outputs.map(({ id }, index) => {
      const use = wanted[index]?.use ?? "hall";
      return [id, { outfitId: OUTFIT_OF_USE[use], layerIds }] as const;
    });
    await editScreens({ kind: "savePlan", plan: { ...plan, outputs: Object.fromEntries(planned) } });
    await host.submit(
      { kind: "switchPlan", id: randomUUID(), planId: plan.id, builtOn: host.state.airRevision },
      actor,
    );
  }
  let afterId: string | null = null;
  for (const doc of firstEvening(place, text)) {
    const cueId = randomUUID();
    await rundown.edit(actor.id, { kind: "addCue", cueId, afterId, doc }, Math.round(now()));
    afterId = cueId;
  }
  rundown.compileAll();
  // A new show's screens are not black: what lies behind everything is there from the start.
  for (const cue of rundown.ready().slice(0, 2)) {
    const [first] = stepsOf(cue.content);
    if (!first) continue;
    const target = { cueId: cue.cueId, content: cue.hash, step: first.anchor };
    await host.submit(
      { kind: "take", id: randomUUID(), target, how: "usual", builtOn: host.state.airRevision },
      actor,
    );
  }
  return undefined;
}
