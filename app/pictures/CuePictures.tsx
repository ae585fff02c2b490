import { ChevronLeft, ChevronRight, TriangleAlert } from "lucide-react";
import { useMemo } from "react";
import type { CheckFinding, Spot } from "../../core/check/gather.ts";
import type { Finding } from "../../core/findings/finding.ts";
import { t } from "../../core/language/t.ts";
import { type Anchor, sameAnchor } from "../../core/rundown/anchor.ts";
import { LEAVE_ANCHOR, stepsOf } from "../../core/rundown/steps.ts";
import type { ShowState } from "../../core/show/state.ts";
import { stateAfterTake } from "../../core/show/stateAfterTake.ts";
import { FRAME_RATES, formatTimecode, framesPerSecond } from "../../core/time/timecode.ts";
import { FindingLine } from "../desk/check/FindingLine.tsx";
import { SpotOutlines } from "../desk/check/SpotOutlines.tsx";
import { useCheck, useCueFindings } from "../desk/check/useCheck.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";
import type { Drawing } from "../live/drawing.ts";
import { describeAction } from "../ui/describeCue.ts";
import { emptyState } from "../ui/emptyState.ts";
import { bracketEdge, groupAlike } from "./bracketGroups.ts";
import { crawlFactsOf } from "./crawlFacts.ts";
import { OutputPicture } from "./OutputPicture.tsx";

/** One step of the chosen cue on every output, as it will be, over what will lie beneath it by then. */
export function CuePictures({
  cue,
  anchor,
  onAnchor,
}: {
  cue: DeskCue;
  anchor: Anchor | null;
  onAnchor: (anchor: Anchor) => void;
}) {
  const desk = useDesk("state", "ready", "plans", "outputs", "outfits");
  const { outfits } = desk;
  const drawing = useDrawing();
  const store = useDeskStore();
  const { ready } = cue;
  const found = useCueFindings(cue.view.cueId);
  // Until the check has looked, and for songs that are in no evening, laying them out says what it met with.
  const isChecked =
    useCheck(({ status, looked }) => status !== "off" && looked > 0) &&
    desk.ready.some(({ cueId }) => cueId === cue.view.cueId);
  const steps = useMemo(
    () => (ready ? stepsOf(ready.content).filter((step) => !sameAnchor(step.anchor, LEAVE_ANCHOR)) : []),
    [ready],
  );
  const at = Math.max(
    0,
    anchor
      ? steps.findLastIndex(({ anchor: a }) => a.occurrence === anchor.occurrence && a.unit <= anchor.unit)
      : 0,
  );
  const step = steps[at];
  const state = useMemo(
    () => (ready && step ? picture(desk, cue, step.anchor, store.now()) : undefined),
    [desk, cue, ready, step, store],
  );

  if (!ready || !step || !state)
    return (
      <p className="text-[15px] text-second">
        {t`Once this cue has its words, its picture on every screen stands here.`}
      </p>
    );
  if (ready.content.action)
    return (
      <p className="text-[15px] text-second">
        {t`An action brings no page: ${describeAction(ready.content)}. In Run the pictures of next show what every screen becomes.`}
      </p>
    );
  const { flow, stepsBy } = ready.content;
  const seen = stepsBy ? outfits.filter(({ id }) => stepsBy.includes(id)) : outfits;
  return (
    <section
      aria-label={t`On every screen`}
      className="grid grid-cols-[repeat(auto-fill,minmax(min(300px,100%),1fr))] items-start gap-4"
    >
      <div className="col-span-full flex items-center justify-between gap-2">
        <h2 className="text-[15px] font-semibold">
          {steps.length > 1 ? t`Step ${at + 1} of ${steps.length}` : t`On every screen`}
          <span className="font-normal text-second"> {t`as it will be`}</span>
        </h2>
        {steps.length > 1 && (
          <span className="flex gap-1">
            <Turn
              label={t`Step before`}
              disabled={at === 0}
              onPress={() => steps[at - 1] && onAnchor((steps[at - 1] as typeof step).anchor)}
            >
              <ChevronLeft aria-hidden="true" className="size-5" />
            </Turn>
            <Turn
              label={t`Step after`}
              disabled={at === steps.length - 1}
              onPress={() => steps[at + 1] && onAnchor((steps[at + 1] as typeof step).anchor)}
            >
              <ChevronRight aria-hidden="true" className="size-5" />
            </Turn>
          </span>
        )}
      </div>
      {desk.outputs.map((output) => {
        const outfitId = desk.state.plan.outputs[output.id]?.outfitId;
        const outfit = outfits.find(({ id }) => id === outfitId);
        const facts = outfitId
          ? laidOutFacts(drawing, ready.hash, cue.view.cueId, step.anchor, outfitId, output)
          : undefined;
        const here = spotsOn(found, output.id, step.anchor);
        const isMeant = ready.content.only?.includes(output.id) ?? true;
        const shows = isMeant && outfitId !== undefined && ready.content.wardrobe[outfitId] !== undefined;
        return (
          // Others stand beside a tall one, instead of a hole.
          <article key={output.id} className={output.heightPx > output.widthPx ? "row-span-3" : ""}>
            <h3 className="mb-1.5 flex items-baseline gap-2 text-[15px]">
              <span className="font-semibold">{output.name}</span>
              <span className="text-[14px] text-second">{outfit?.name.toLowerCase()}</span>
              <span className="ml-auto font-mono text-[14px] text-second">
                {!shows ? t`not shown here` : facts?.size}
              </span>
            </h3>
            <div className="relative rounded-md border-2 border-edge p-0.5">
              <OutputPicture
                output={output}
                state={isMeant ? state : { ...state, slots: { ...state.slots, [ready.content.layerId]: [] } }}
                drawing={drawing}
                label={t`${ready.content.title} on ${output.name}`}
              />
              <SpotOutlines
                output={output}
                spots={here.flatMap(({ finding, spot }) => (finding.severity === "note" ? [] : [spot]))}
              />
            </div>
            {shows &&
              facts?.crawls.map((words) => (
                <p key={words} className="mt-1.5 text-[14px] text-second">
                  {words}
                </p>
              ))}
            {here.map(({ finding, spot }) => (
              <FindingLine key={finding.id} finding={finding} sentence={spot.sentence} />
            ))}
            {shows &&
              !isChecked &&
              facts?.findings.map((finding) => (
                <p
                  key={JSON.stringify(finding)}
                  className="mt-1.5 flex items-start gap-2 text-[14px] text-attention"
                >
                  <TriangleAlert aria-hidden="true" className="mt-0.5 size-4 shrink-0" />
                  {finding.sentence}
                </p>
              ))}
          </article>
        );
      })}
      {flow && (
        <div>
          <h3 className="mb-1.5 text-[15px] font-semibold">{t`Slides on each screen`}</h3>
          <ul className="flex flex-col gap-1 text-[15px]">
            {groupAlike(seen, ({ id }) => flow.divisions[id] && JSON.stringify(flow.divisions[id])).map(
              ({ id, name }, column) => (
                <li key={id} className="flex items-center gap-2.5">
                  <span
                    aria-hidden="true"
                    className={`h-5 w-2.5 shrink-0 rounded-l-[4px] border-y-2 border-l-2 ${bracketEdge(column)}`}
                  />
                  {name}
                  <span className="ml-auto shrink-0 font-mono text-[14px] text-second">
                    {t`${(flow.divisions[id] ?? []).reduce((sum, starts) => sum + starts.length, 0)} slides`}
                  </span>
                </li>
              ),
            )}
          </ul>
        </div>
      )}
    </section>
  );
}

/** What is found on a screen at a step, and where. */
const spotsOn = (
  findings: readonly CheckFinding[],
  outputId: string,
  anchor: Anchor,
): readonly { readonly finding: CheckFinding; readonly spot: Spot }[] =>
  findings.flatMap((finding) => {
    const spot = finding.spots.find(
      ({ outputId: on, step }) => on === outputId && step !== null && sameAnchor(step, anchor),
    );
    return spot && finding.waived === null ? [{ finding, spot }] : [];
  });

function Turn({
  label,
  disabled,
  onPress,
  children,
}: {
  label: string;
  disabled: boolean;
  onPress: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      onClick={onPress}
      className="grid size-9 place-content-center rounded-md bg-lifted hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted"
    >
      {children}
    </button>
  );
}

/** The cue at a step, over the pages of persistent layers that come before it in the rundown. */
function picture(
  desk: Pick<DeskSnapshot, "state" | "ready" | "plans">,
  cue: DeskCue,
  anchor: Anchor,
  atMs: number,
): ShowState | undefined {
  const { ready } = cue;
  if (!ready) return undefined;
  const { layers, plan, timeZone } = desk.state;
  const target = { cueId: ready.cueId, content: ready.hash, step: anchor };
  let state = emptyState(layers, plan, target, ready.content.layerId, timeZone, atMs);
  for (const layer of layers) {
    if (!layer.persistent || layer.id === ready.content.layerId) continue;
    const beneath = desk.ready
      .filter(({ index, content }) => index < cue.index && content.layerId === layer.id)
      .at(-1);
    const first = beneath && stepsOf(beneath.content)[0];
    if (first)
      state = stateAfterTake(
        state,
        { cueId: beneath.cueId, content: beneath.hash, step: first.anchor },
        [beneath],
        atMs,
        desk.plans,
      );
  }
  return state;
}

/** The size of the largest words on an output, and what laying it out met with. */
function laidOutFacts(
  drawing: Drawing | undefined,
  hash: string,
  cueId: string,
  step: Anchor,
  outfitId: string,
  output: DeskSnapshot["outputs"][number],
):
  | { readonly size: string; readonly crawls: readonly string[]; readonly findings: readonly Finding[] }
  | undefined {
  const dressed = drawing?.dress({ cueId, content: hash, step }, outfitId, output);
  if (!dressed) return undefined;
  const { texts, findings } = dressed.laidOut;
  const largest = Math.max(...texts.map(({ sizePx }) => sizePx));
  const frameRate = FRAME_RATES[output.frameRate];
  const crawls = crawlFactsOf(dressed.laidOut, frameRate).map(({ onScreen, wordsPerMinute }) => {
    const { pxPerFrame, pxPerSecond, passSeconds } = onScreen;
    return t`${pxPerFrame.toFixed(2)} px a frame, ${Math.round(pxPerSecond)} px/s, one pass ${passSeconds.toFixed(1)} s (${formatTimecode(Math.round(passSeconds * framesPerSecond(frameRate)), frameRate)}), ${Math.round(wordsPerMinute)} words a minute`;
  });
  return { crawls, size: texts.length > 0 ? t`${Math.round(largest * 4) / 4} px` : "", findings };
}
