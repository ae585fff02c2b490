import type { CrawlFigures, CrawlSpeed } from "../../../core/crawl/rate.ts";
import { t } from "../../../core/language/t.ts";
import type { PageDoc } from "../../../core/rundown/cueDoc.ts";
import { stepsOf } from "../../../core/rundown/steps.ts";
import { NO_ADJUSTMENT } from "../../../core/scene/adjustment.ts";
import { FRAME_RATES } from "../../../core/time/timecode.ts";
import { useDesk, useDrawing } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { type CrawlFacts, crawlFactsOf } from "../../pictures/crawlFacts.ts";
import { NumberBox } from "../../ui/NumberBox.tsx";
import { editorId } from "./editorId.ts";
import { fieldLabel } from "./fieldLabel.ts";
import { withAdjustment } from "./nudges.ts";

const UNITS = {
  pxPerFrame: { words: t`pixels a frame`, min: 0.1, max: 400, step: 0.1 },
  pxPerSecond: { words: t`pixels a second`, min: 1, max: 20_000, step: 1 },
  passSeconds: { words: t`seconds for one pass`, min: 0.5, max: 7_200, step: 0.1 },
} as const;
const KINDS = Object.keys(UNITS) as CrawlSpeed["kind"][];

/** How fast a crawl goes, for this page alone: said in one figure, the others follow from it. */
export function SpeedLine({
  cue,
  doc,
  onChange,
}: {
  cue: DeskCue;
  doc: PageDoc;
  onChange: (adjust: PageDoc["adjust"]) => void;
}) {
  const crawl = useCrawl(cue);
  const { fieldSets } = useDesk("fieldSets");
  if (!crawl?.field) return null;
  const { field, onCanvas } = crawl;
  const now = doc.adjust[field] ?? NO_ADJUSTMENT;
  const { speed } = now;
  const label = fieldLabel(doc, field, fieldSets);
  const save = (next: CrawlSpeed | null) =>
    onChange(withAdjustment(doc.adjust, field, { ...now, speed: next }));
  const id = `${editorId(cue.view.cueId)}-speed`;
  const unit = speed && UNITS[speed.kind];
  return (
    <p className="flex flex-wrap items-center gap-2.5 text-[15px]">
      <label htmlFor={id} className="text-second">
        {t`${label} go`}
      </label>
      {speed && unit && (
        <NumberBox
          label={`${label}, ${unit.words}`}
          value={speed.kind === "passSeconds" ? speed.seconds : speed.px}
          min={unit.min}
          max={unit.max}
          step={unit.step}
          onSave={(value) => save(speedOf(speed.kind, value))}
        />
      )}
      <select
        id={id}
        value={speed?.kind ?? ""}
        onChange={({ target }) => {
          const kind = KINDS.find((each) => each === target.value);
          save(kind ? speedOf(kind, rounded(kind, onCanvas)) : null);
        }}
        className="min-h-10 rounded-md border border-edge-strong bg-ground px-2"
      >
        <option value="">{t`as fast as the template says`}</option>
        {KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {UNITS[kind].words}
          </option>
        ))}
      </select>
    </p>
  );
}

const speedOf = (kind: CrawlSpeed["kind"], value: number): CrawlSpeed =>
  kind === "passSeconds" ? { kind, seconds: value } : { kind, px: value };

/** What it goes now, in another unit, to the unit's own step. */
function rounded(kind: CrawlSpeed["kind"], figures: CrawlFigures): number {
  const { min, max, step } = UNITS[kind];
  const perStep = 1 / step;
  return Math.min(max, Math.max(min, Math.round(figures[kind] * perStep) / perStep));
}

/** The crawl of a cue on the first screen that shows it. */
function useCrawl(cue: DeskCue): CrawlFacts | undefined {
  const desk = useDesk("outputs", "state");
  const drawing = useDrawing();
  const { ready } = cue;
  const [step] = ready ? stepsOf(ready.content) : [];
  if (!ready || !step || !drawing) return undefined;
  for (const output of desk.outputs) {
    const outfitId = desk.state.plan.outputs[output.id]?.outfitId;
    if (outfitId === undefined) continue;
    const page = { cueId: ready.cueId, content: ready.hash, step: step.anchor };
    const dressed = drawing.dress(page, outfitId, output);
    const crawl = dressed && crawlFactsOf(dressed.laidOut, FRAME_RATES[output.frameRate])[0];
    if (crawl) return crawl;
  }
  return undefined;
}
