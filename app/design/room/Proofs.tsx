import { useDeferredValue, useMemo } from "react";
import { t } from "../../../core/language/t.ts";
import type { FieldSet } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { shapesOf } from "../../../core/scene/shapes.ts";
import type { Template } from "../../../core/scene/template.ts";
import type { Samples } from "../../api/loaded.ts";
import type { Drawing } from "../../live/drawing.ts";
import standIn from "../../live/standInPicture.svg";
import { Sheet } from "./Sheet.tsx";
import { type PageSample, type ProofName, SAMPLE_NAMES, type SampleName, samplesFor } from "./samples.ts";
import { useInTurn } from "./useInTurn.ts";
import { type MediaByHash, problemsOf, useTemplatePage } from "./useTemplatePage.ts";

const HEIGHT_PX = 84;
/** Room for what it is called, however narrow it is. */
const LEAST_WIDTH_PX = 144;
const WORDS: Readonly<Record<SampleName, string>> = {
  typical: "typical",
  longest: "longest",
  empty: "empty",
  otherScript: t`another script`,
};

interface Given {
  readonly template: Template;
  readonly fieldSet: FieldSet | undefined;
  readonly samples: Samples;
  readonly media: MediaByHash;
  readonly style: HouseStyle;
  readonly drawing: Drawing;
}

/** The template as it will be met: with little, much and nothing in it, in another script, and on each of its shapes. */
export function Proofs({
  chosen,
  onChoose,
  shape: shownShape,
  onShape,
  own,
  ...given
}: Given & {
  chosen: ProofName;
  onChoose: (sample: ProofName) => void;
  /** The shape that is on the canvas. */
  shape: number;
  onShape: (shape: number) => void;
  /** Pages whose values are somebody's own. */
  own: readonly PageSample[];
}) {
  // What is under the hand comes first; proofs follow as soon as there is time.
  const template = useDeferredValue(given.template);
  const shapes = shapesOf(template).slice(1);
  const shown = useInTurn(own.length + SAMPLE_NAMES.length + shapes.length);
  return (
    <section
      aria-label={t`Proofs`}
      className="flex shrink-0 gap-3 overflow-x-auto border-t border-edge bg-raised px-3 py-2"
    >
      {own.slice(0, shown).map(({ name, title, values }) => (
        <Proof
          key={name}
          {...given}
          template={template}
          sample="typical"
          own={values}
          title={title}
          isChosen={chosen === name}
          onChoose={() => onChoose(name)}
        />
      ))}
      {SAMPLE_NAMES.slice(0, Math.max(0, shown - own.length)).map((name) => (
        <Proof
          key={name}
          {...given}
          template={template}
          sample={name}
          title={WORDS[name]}
          isChosen={chosen === name}
          onChoose={() => onChoose(name)}
        />
      ))}
      {shapes.slice(0, Math.max(0, shown - own.length - SAMPLE_NAMES.length)).map((shape, i) => (
        <Proof
          // biome-ignore lint/suspicious/noArrayIndexKey: a shape is its place
          key={i}
          {...given}
          template={shape}
          sample="typical"
          title={given.template.shapes[i]?.name ?? ""}
          isChosen={shownShape === i + 1}
          onChoose={() => onShape(shownShape === i + 1 ? 0 : i + 1)}
        />
      ))}
    </section>
  );
}

/** A small true picture that a press puts on the canvas, and what is wrong with it. */
function Proof({
  template,
  fieldSet,
  samples,
  media,
  style,
  drawing,
  sample,
  own,
  title,
  isChosen,
  onChoose,
}: Given & {
  sample: SampleName;
  own?: Readonly<Record<string, string>> | undefined;
  title: string;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const values = useMemo(
    () => own ?? samplesFor(template.fieldSet, fieldSet, sample, samples),
    [own, template.fieldSet, fieldSet, sample, samples],
  );
  const page = useTemplatePage({ template, values, style, fieldSet, media, drawing });
  const { widthPx, heightPx } = template.canvas;
  const zoom = HEIGHT_PX / heightPx;
  const findings = problemsOf(page);
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      title={findings.map(({ sentence }) => sentence).join("\n") || undefined}
      className={`flex shrink-0 flex-col rounded-md border-2 p-0.5 text-left text-[14px] ${isChosen ? "border-act" : "border-transparent hover:border-edge-strong"}`}
    >
      <span
        className="relative block overflow-hidden rounded-sm"
        style={{
          width: widthPx * zoom,
          height: HEIGHT_PX,
          background: `#3a3330 url(${standIn}) center / cover`,
        }}
      >
        <Sheet page={page} drawing={drawing} zoom={zoom} />
      </span>
      <span className="flex gap-1.5 px-1" style={{ maxWidth: Math.max(widthPx * zoom, LEAST_WIDTH_PX) }}>
        <span className="shrink-0">{title}</span>
        {findings.length > 0 && (
          <span className="min-w-0 truncate text-attention">
            {findings.length === 1 ? t`1 problem` : t`${findings.length} problems`}
          </span>
        )}
      </span>
    </button>
  );
}
