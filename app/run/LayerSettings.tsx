import { SlidersHorizontal } from "lucide-react";
import { Popover } from "radix-ui";
import { t } from "../../core/language/t.ts";
import type { Layer } from "../../core/venue/plan.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NumberBox } from "../ui/NumberBox.tsx";
import { SecondsBox } from "../ui/SecondsBox.tsx";

/** How pages come onto a layer, how dense they are, and whether they stay when others are cleared. */
export function LayerSettings({
  layer,
  alone,
}: {
  layer: Layer;
  /** Screens with a page of their own on it, which can be taken off there alone. */
  alone: readonly { readonly outputId: string; readonly name: string; readonly title: string }[];
}) {
  const store = useDeskStore();
  const { state } = useDesk("state");
  const isKept = state.triggers.heldLayers.includes(layer.id);
  const change = (part: Partial<Omit<Layer, "id" | "name">>) => {
    const { id, how, opacity, persistent, effectMs, turns } = { ...layer, ...part };
    store.air.press({ kind: "setLayer", layerId: id, how, opacity, persistent, effectMs, turns });
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={t`Settings of ${layer.name}`}
        className="grid size-6 shrink-0 place-content-center rounded text-second hover:bg-lifted hover:text-paper"
      >
        <SlidersHorizontal aria-hidden="true" className="size-3.5" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={6}
          data-own-keys={`settings of ${layer.name}`}
          className="z-30 flex w-84 flex-col gap-3 rounded-lg border border-edge-strong bg-raised p-4 text-[15px] shadow-xl"
        >
          <h3 className="font-semibold">{layer.name}</h3>
          <label className="flex items-center justify-between gap-3">
            {t`Pages come`}
            <select
              value={layer.how}
              onChange={({ target }) => change({ how: target.value as Layer["how"] })}
              className="min-h-9 rounded-md border border-edge-strong bg-ground px-2"
            >
              <option value="animated">{t`by their own motion`}</option>
              <option value="dissolve">{t`by a dissolve`}</option>
              <option value="cut">{t`at once`}</option>
            </select>
          </label>
          <p className="flex items-center justify-between gap-3">
            {t`They arrive in, s`}
            <SecondsBox
              label={t`Time pages take to arrive on ${layer.name}, s`}
              ms={layer.effectMs}
              min={0.04}
              max={8}
              step={0.05}
              onSave={(ms) => change({ effectMs: ms })}
              onClear={() => change({ effectMs: null })}
            />
          </p>
          <p className="-mt-2 text-[14px] text-second">{t`Empty: as their templates have it.`}</p>
          <label className="flex items-center justify-between gap-3">
            {t`Next comes`}
            <select
              value={layer.turns}
              onChange={({ target }) => change({ turns: target.value as Layer["turns"] })}
              className="min-h-9 rounded-md border border-edge-strong bg-ground px-2"
            >
              <option value="hand">{t`by hand`}</option>
              <option value="song">{t`with each song`}</option>
              <option value="section">{t`with each section`}</option>
            </select>
          </label>
          {layer.turns !== "hand" && (
            <p className="-mt-2 text-[14px] text-second">
              {t`Its own cues in turn, in the order of the rundown, by a dissolve with the take of a song or reading. The words stay as they are.`}
            </p>
          )}
          <p className="flex items-center justify-between gap-3">
            {t`Opacity, %`}
            <NumberBox
              label={t`Opacity of ${layer.name}, %`}
              value={Math.round(layer.opacity * 100)}
              min={0}
              max={100}
              step={5}
              onSave={(percent) => change({ opacity: percent / 100 })}
            />
          </p>
          <label className="flex items-center gap-2.5">
            <input
              type="checkbox"
              checked={layer.persistent}
              onChange={({ target }) => change({ persistent: target.checked })}
              className="size-5 accent-act"
            />
            {t`Stays when others are cleared`}
          </label>
          <label className="flex items-center gap-2.5">
            <input
              type="checkbox"
              checked={isKept}
              onChange={({ target }) =>
                store.air.press({ kind: "keepLayer", layerId: layer.id, isHeld: target.checked })
              }
              className="size-5 accent-act"
            />
            {t`Held: triggers leave it alone`}
          </label>
          {alone.map(({ outputId, name, title }) => (
            <button
              key={outputId}
              type="button"
              onClick={() => store.air.layerOut(layer.id, outputId)}
              className="min-h-9 truncate rounded-md bg-lifted px-3 text-left hover:bg-edge"
            >
              {t`Take “${title}” off ${name} alone`}
            </button>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
