import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import { stateUnderPlan } from "../../core/show/stateAfterTake.ts";
import { type Output, outputSchema, type ScreenPlan, type Venue } from "../../core/venue/plan.ts";
import { TEST_PICTURES, type TestPictureName } from "../../core/venue/testPicture.ts";
import { newId } from "../api/newId.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { sayWithUndo } from "../desk/sayWithUndo.ts";
import { Access } from "./Access.tsx";
import { PlanBar } from "./PlanBar.tsx";
import { ScreenCard } from "./ScreenCard.tsx";
import { ScreenEditor, type StandByPicture } from "./ScreenEditor.tsx";
import { saveScreens } from "./saveScreens.ts";
import { useTestKey } from "./useTestKey.ts";
import { VenuePlan } from "./VenuePlan.tsx";

const TEST_NAMES: Readonly<Record<TestPictureName, string>> = {
  bars: t`Bars`,
  grid: t`Grid`,
  ramp: t`Ramp`,
  safe: t`Safe areas`,
  identify: t`Identify`,
  sync: t`Flash and tick`,
};

/** Every screen: what it is, how it does, what it shows, and what it would show under another plan. */
export function ScreensView({
  venue,
  pictures,
  made,
}: {
  venue: Venue;
  pictures: readonly StandByPicture[];
  /** The sizes that templates are made for. */
  made: readonly { readonly widthPx: number; readonly heightPx: number }[];
}) {
  const desk = useDesk("outputs", "plans", "state", "outfits");
  const store = useDeskStore();
  const drawing = useDrawing();
  const { outfits } = desk;
  const { outputs, plans, state } = desk;
  const [chosenId, setChosenId] = useState<string | null>(outputs[0]?.id ?? null);
  const [isRoom, setIsRoom] = useState(false);
  const { revalidate } = useRevalidator();
  const [planId, setPlanId] = useState(state.plan.id);
  const chosen = outputs.find(({ id }) => id === chosenId) ?? outputs[0];
  const plan = plans.find(({ id }) => id === planId) ?? plans.find(({ id }) => id === state.plan.id);
  const row = plans.find(({ id }) => id === state.plan.id);
  const hasDraft = row !== undefined && JSON.stringify(row.outputs) !== JSON.stringify(state.plan.outputs);
  const isOther = plan !== undefined && (plan.id !== state.plan.id || hasDraft);
  const would = useMemo(
    () => (plan && isOther ? stateUnderPlan(state, plan, store.now()) : undefined),
    [state, plan, isOther, store],
  );
  const testing = Object.keys(state.tests).filter((id) => outputs.some((output) => output.id === id));

  const add = async () => {
    const id = newId().slice(0, 20);
    const number = outputs.length + 1;
    const output = outputSchema.parse({
      id,
      name: t`Screen ${number}`,
      widthPx: 1920,
      heightPx: 1080,
      backdrop: "opaque",
      frameRate: "60",
      signal: "picture",
      sound: false,
      program: false,
    });
    if (await saveScreens(store, { kind: "saveOutput", output })) setChosenId(id);
  };
  const save = (output: Output) => saveScreens(store, { kind: "saveOutput", output });
  const savePlan = (next: ScreenPlan) => saveScreens(store, { kind: "savePlan", plan: next });
  const test = (picture: TestPictureName | null, outputIds: string[] | null) => {
    store.air.press({ kind: "test", picture, outputIds });
    if (picture !== null) sayWithUndo(store, t`${TEST_NAMES[picture]} on ${nameOf(outputIds)}.`);
  };
  const nameOf = (ids: string[] | null) =>
    ids === null
      ? t`all screens`
      : outputs
          .filter(({ id }) => ids.includes(id))
          .map(({ name }) => name)
          .join(", ");

  const setStandBy = (file: string) => {
    const picture = pictures.find((each) => each.file === file);
    const shown = picture && { file, widthPx: picture.widthPx, heightPx: picture.heightPx };
    store.air.press({ kind: "setStandBy", picture: shown ?? null });
  };

  useTestKey(store, chosen?.id);

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_400px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main aria-label={t`Screens`} className="relative flex min-h-0 flex-col">
        <PlanBar
          plans={plans}
          usedId={state.plan.id}
          hasDraft={hasDraft}
          shownId={plan?.id ?? ""}
          onShow={setPlanId}
          onUse={(id) => store.air.press({ kind: "switchPlan", planId: id, builtOn: state.airRevision })}
          onSave={savePlan}
          onRemove={(id) => saveScreens(store, { kind: "removePlan", planId: id })}
        >
          <button
            type="button"
            aria-pressed={isRoom}
            onClick={() => setIsRoom(!isRoom)}
            className="min-h-9 rounded-md border border-edge-strong px-3 aria-pressed:border-act aria-pressed:text-act"
          >
            {t`Room`}
          </button>
        </PlanBar>
        <div className="flex min-h-13 shrink-0 flex-wrap items-center gap-2 border-b border-edge px-5 py-2 text-[15px] whitespace-nowrap">
          <span className="text-second">
            {t`Test all`} <kbd>⇧T</kbd>
          </span>
          {TEST_PICTURES.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={testing.length > 0 && testing.every((id) => state.tests[id]?.picture === name)}
              onClick={() => test(name, null)}
              className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
            >
              {TEST_NAMES[name]}
            </button>
          ))}
          {testing.length > 0 ? (
            <span role="alert" className="ml-auto flex items-center gap-3 font-semibold text-attention">
              <span aria-hidden="true" className="hatched size-5 rounded" />
              {t`${testing.length} ${testing.length === 1 ? t`screen` : t`screens`} on test`}
              <button
                type="button"
                onClick={() => test(null, null)}
                className="min-h-9 rounded-md bg-attention px-3 text-on-bright"
              >
                {t`Off`}
              </button>
            </span>
          ) : (
            <label className="ml-auto flex items-center gap-2 text-second">
              {t`Stand-by`}
              <select
                aria-label={t`What screens show as their stand-by, unless they have one of their own`}
                value={state.standBy?.file ?? ""}
                onChange={({ target }) => setStandBy(target.value)}
                className="min-h-9 w-36 rounded-md border border-edge-strong bg-ground px-2"
              >
                <option value="">{t`black`}</option>
                {pictures.map(({ file, name }) => (
                  <option key={file} value={file}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
        {isRoom ? (
          <VenuePlan
            outputs={outputs}
            venue={venue}
            chosenId={chosen?.id}
            onChoose={setChosenId}
            onPlace={(output, place) => void save({ ...output, place })}
            onVenue={(next) =>
              void saveScreens(store, { kind: "saveVenue", venue: next }).then(() => revalidate())
            }
          />
        ) : (
          // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
          <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-5 py-4">
            <div className="grid grid-cols-[repeat(auto-fill,minmax(min(360px,100%),1fr))] gap-4">
              {outputs.map((output, index) => (
                <ScreenCard
                  key={output.id}
                  number={index + 1}
                  output={output}
                  isChosen={output.id === chosen?.id}
                  state={state}
                  would={would}
                  plan={plan}
                  outfits={outfits}
                  drawing={drawing}
                  onChoose={() => setChosenId(output.id)}
                  onPlan={savePlan}
                  onTest={(picture) => test(picture, [output.id])}
                  onShut={() => {
                    const isShut = state.shutters[output.id]?.untilMs === null;
                    store.air.press({
                      kind: "shut",
                      outputIds: [output.id],
                      picture: isShut ? null : "black",
                    });
                    if (!isShut) sayWithUndo(store, t`${output.name} goes to black.`);
                  }}
                />
              ))}
              <button
                type="button"
                onClick={() => void add()}
                className="flex min-h-40 items-center justify-center gap-2 rounded-lg border-2 border-dashed border-edge text-[16px] text-second hover:border-act hover:text-paper"
              >
                <Plus aria-hidden="true" className="size-5" /> {t`Another screen`}
              </button>
            </div>
          </div>
        )}
        <NoticeBar />
      </main>
      <aside
        aria-label={t`The chosen screen`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-5 py-4"
      >
        {chosen && (
          <ScreenEditor
            key={chosen.id}
            output={chosen}
            pictures={pictures}
            made={made}
            onSave={save}
            onRemove={() => void saveScreens(store, { kind: "removeOutput", outputId: chosen.id })}
          />
        )}
        <Access />
      </aside>
    </div>
  );
}
