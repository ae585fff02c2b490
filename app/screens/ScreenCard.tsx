import { t } from "../../core/language/t.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output, ScreenPlan } from "../../core/venue/plan.ts";
import type { TestPictureName } from "../../core/venue/testPicture.ts";
import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";
import { ScreenFindings } from "../desk/check/ScreenFindings.tsx";
import { useHealthFacts } from "../desk/useHealthFacts.ts";
import type { Drawing } from "../live/drawing.ts";
import { OutputPicture } from "../pictures/OutputPicture.tsx";

/** One screen in the list: its picture, what it would become, how it does, and its part of the plan that is looked at. */
export function ScreenCard({
  number,
  output,
  isChosen,
  state,
  would,
  plan,
  outfits,
  drawing,
  onChoose,
  onPlan,
  onTest,
  onShut,
}: {
  number: number;
  output: Output;
  isChosen: boolean;
  state: ShowState;
  /** Under the plan that is looked at, when that is not the one in use. */
  would: ShowState | undefined;
  plan: ScreenPlan | undefined;
  outfits: readonly DeskOutfit[];
  drawing: Drawing | undefined;
  onChoose: () => void;
  onPlan: (plan: ScreenPlan) => Promise<boolean>;
  onTest: (picture: TestPictureName | null) => void;
  /** Shuts it, or opens it again. */
  onShut: () => void;
}) {
  const shutter = state.shutters[output.id];
  const isShut = shutter !== undefined && shutter.untilMs === null;
  const planned = plan?.outputs[output.id];
  const change = (entry: ScreenPlan["outputs"][string]) =>
    plan && void onPlan({ ...plan, outputs: { ...plan.outputs, [output.id]: entry } });
  const facts = useHealthFacts(output);
  const isTall = output.heightPx > output.widthPx;
  const width = isTall ? 92 : would ? 178 : 250;
  return (
    <article className={`rounded-lg border-2 p-3 ${isChosen ? "border-act bg-raised" : "border-edge"}`}>
      <h2 className="mb-2 flex items-baseline gap-2">
        <button
          type="button"
          onClick={onChoose}
          aria-pressed={isChosen}
          className="text-left text-[16px] font-semibold hover:text-act"
        >
          {number} · {output.name}
        </button>
        <span className="font-mono text-[14px] text-second">
          {output.widthPx}×{output.heightPx}
        </span>
        <span
          className={`ml-auto text-[14px] ${facts.isBad ? "font-semibold text-attention" : "text-second"}`}
        >
          {facts.word}
        </span>
      </h2>
      <div className="flex items-start gap-3">
        <div style={{ width }} className="shrink-0 rounded border-2 border-edge">
          <OutputPicture output={output} state={state} drawing={drawing} label={t`On ${output.name} now`} />
        </div>
        {would && (
          <div style={{ width }} className="shrink-0 rounded border-2 border-dashed border-next">
            <OutputPicture
              output={output}
              state={would}
              drawing={drawing}
              label={t`On ${output.name} under this plan`}
              isStill
            />
          </div>
        )}
      </div>
      <p className="mt-1.5 line-clamp-2 min-h-5 text-[14px] text-second" title={facts.lines.join(", ")}>
        {facts.lines.join(" · ")}
      </p>
      <ScreenFindings outputId={output.id} />
      {plan && (
        <div className="mt-1.5 flex flex-wrap items-center gap-1.5 text-[14px]">
          <select
            aria-label={t`Outfit of ${output.name}`}
            value={planned?.outfitId ?? ""}
            onChange={(event) =>
              change({
                outfitId: event.target.value,
                layerIds: planned?.layerIds ?? state.layers.map(({ id }) => id),
              })
            }
            className="min-h-8 rounded-md border border-edge-strong bg-ground px-2 text-[15px]"
          >
            {!planned && <option value="">{t`shows nothing`}</option>}
            {outfits.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
          {planned &&
            state.layers.map((layer) => {
              const isShown = planned.layerIds.includes(layer.id);
              return (
                <button
                  key={layer.id}
                  type="button"
                  aria-pressed={isShown}
                  title={isShown ? t`${layer.name} is shown here` : t`${layer.name} is not shown here`}
                  onClick={() =>
                    change({
                      ...planned,
                      layerIds: isShown
                        ? planned.layerIds.filter((id) => id !== layer.id)
                        : state.layers
                            .map(({ id }) => id)
                            .filter((id) => id === layer.id || planned.layerIds.includes(id)),
                    })
                  }
                  className={`min-h-8 rounded px-2 ${isShown ? "bg-lifted text-paper" : "border border-edge text-quiet line-through"}`}
                >
                  {layer.name}
                </button>
              );
            })}
          <button
            type="button"
            aria-pressed={isShut}
            title={isShut ? t`Shows its picture again` : t`Fades this screen to black`}
            onClick={onShut}
            className="min-h-8 rounded px-2 text-act hover:underline aria-pressed:bg-attention aria-pressed:text-on-bright"
          >
            {isShut ? t`Picture again` : t`Black`}
          </button>
          {state.tests[output.id] ? (
            <button
              type="button"
              onClick={() => onTest(null)}
              className="min-h-8 rounded bg-attention px-2 text-on-bright"
            >
              {t`Test off`} {isChosen && <kbd>T</kbd>}
            </button>
          ) : (
            <button
              type="button"
              onClick={() => onTest("bars")}
              className="min-h-8 rounded px-2 text-act hover:underline"
            >
              {t`Test`} {isChosen && <kbd>T</kbd>}
            </button>
          )}
        </div>
      )}
    </article>
  );
}
