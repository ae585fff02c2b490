import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { t } from "../../core/language/t.ts";
import type { Output } from "../../core/venue/plan.ts";
import {
  BUS_WORDS,
  BUSES,
  type Bus,
  type Source,
  type SourcePicture,
  sourceSchema,
  TEST_SCENES,
} from "../../core/venue/source.ts";
import type { SourceView } from "../../core/wire/followView.ts";
import { newId } from "../api/newId.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { CloseButton } from "../ui/CloseButton.tsx";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { NumberBox } from "../ui/NumberBox.tsx";
import { editTriggers } from "./editTriggers.ts";
import { SourceMediaSelect } from "./SourceMediaSelect.tsx";

/** The venue's sources: named once, with who is usually there; what is on program and preview, from the mixer or by hand. */
export function Sources() {
  const store = useDeskStore();
  const { sources } = useDesk("sources");
  const [openId, setOpenId] = useState<string>();
  const add = async () => {
    const inputs = sources.flatMap(({ input }) => input ?? []);
    const source = sourceSchema.parse({
      id: newId(),
      name: t`Camera ${sources.length + 1}`,
      input: Math.max(0, ...inputs) + 1,
    });
    if (await editTriggers(store, { kind: "saveSource", source, baseRevision: 0 })) setOpenId(source.id);
  };
  return (
    <section aria-label={t`Sources`}>
      <div className="mb-2 flex items-center justify-between gap-3">
        <h2 className="text-[17px] font-semibold">{t`Sources`}</h2>
        <button
          type="button"
          onClick={() => void add()}
          className="flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
        >
          <Plus aria-hidden="true" className="size-4" /> {t`New source`}
        </button>
      </div>
      {sources.length === 0 && (
        <p className="text-[15px] text-second">
          {t`A source is a camera, a player, or anything else that the mixer can bring to program. Name each of them once, with the number of its input; then titles can come and go with it.`}
        </p>
      )}
      <ul className="flex flex-col gap-1.5">
        {sources.map((source) => (
          <li key={source.id} className="rounded-lg border border-edge bg-ground">
            <SourceRow
              source={source}
              isOpen={source.id === openId}
              onOpen={() => setOpenId(source.id === openId ? undefined : source.id)}
            />
            {source.id === openId && <SourceForm source={source} onClose={() => setOpenId(undefined)} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function SourceRow({ source, isOpen, onOpen }: { source: SourceView; isOpen: boolean; onOpen: () => void }) {
  const store = useDeskStore();
  const { state, follow } = useDesk("state", "follow");
  const isOn = (bus: Bus) => state.sources[bus].includes(source.id);
  const press = (bus: Bus) =>
    store.air.press({ kind: "setSources", bus, sourceIds: isOn(bus) ? [] : [source.id] });
  const flaps = follow?.flapping.includes(source.id) ?? false;
  return (
    <div className="flex items-center gap-2 p-1.5">
      <button
        type="button"
        aria-expanded={isOpen}
        title={t`Change “${source.name}”`}
        onClick={onOpen}
        className="flex min-h-10 min-w-0 flex-1 items-center gap-2.5 rounded-md px-2 py-1.5 text-left hover:bg-lifted"
      >
        <span className="w-7 shrink-0 text-right font-mono text-[14px] text-second">
          {source.input ?? "–"}
        </span>
        <span className="shrink-0 text-[16px] font-semibold">{source.name}</span>
        <span className="truncate text-[14px] text-second">{source.who}</span>
        {flaps && <span className="shrink-0 text-[14px] text-attention">{t`its tally flaps`}</span>}
      </button>
      {BUSES.map((bus) => (
        <button
          key={bus}
          type="button"
          aria-pressed={isOn(bus)}
          title={t`Says by hand that “${source.name}” is on ${BUS_WORDS[bus]}`}
          onClick={() => press(bus)}
          className={`min-h-9 w-23 shrink-0 rounded-md border-2 text-[14px] ${
            isOn(bus)
              ? bus === "program"
                ? "border-air font-semibold"
                : "border-dashed border-next font-semibold text-next"
              : "border-edge text-second hover:bg-lifted"
          }`}
        >
          {isOn(bus) ? BUS_WORDS[bus].toUpperCase() : BUS_WORDS[bus]}
        </button>
      ))}
    </div>
  );
}

const PICTURES: Readonly<Record<SourcePicture["kind"], string>> = {
  scene: t`a stand-in camera`,
  media: t`a picture or clip`,
  player: t`the clip that plays`,
  camera: t`a camera at the screen's own machine`,
  screen: t`a screen of this show`,
  bars: t`colour bars`,
  black: "black",
};

function freshPicture(
  kind: Exclude<SourcePicture["kind"], "media">,
  outputs: readonly Output[],
): SourcePicture {
  if (kind === "scene") return { kind, scene: "lectern" };
  return kind === "screen" ? { kind, outputId: outputs[0]?.id ?? "none" } : { kind };
}

function SourceForm({ source: told, onClose }: { source: SourceView; onClose: () => void }) {
  const store = useDeskStore();
  const { outputs } = useDesk("outputs");
  const { revision, ...plain } = told;
  const [source, save] = useSavesInOrder<Source>(revision, plain, (doc, baseRevision) =>
    editTriggers(store, { kind: "saveSource", source: doc, baseRevision }),
  );
  /** A picture or clip is to be chosen before it is one. */
  const [isChoosing, setIsChoosing] = useState(false);
  const remove = async () => {
    const whole: Source = source;
    if (!(await editTriggers(store, { kind: "removeSource", id: source.id }))) return;
    onClose();
    store.say("word", t`“${whole.name}” was removed.`, {
      label: t`Put back`,
      act: () => void editTriggers(store, { kind: "saveSource", source: whole, baseRevision: 0 }),
    });
  };
  const text = (value: string, was: string, change: (typed: string) => Partial<Source>) => {
    const typed = value.trim();
    if (typed !== was) save(change(typed));
  };
  const id = `source-${source.id}`;
  return (
    <div className="flex flex-col gap-3 border-t border-edge p-3">
      <div className="flex items-end gap-3">
        <Labelled id={`${id}-name`} label={t`Name`}>
          <input
            id={`${id}-name`}
            key={source.name}
            defaultValue={source.name}
            maxLength={40}
            onBlur={({ target }) =>
              target.value.trim() && text(target.value, source.name, (name) => ({ name }))
            }
            className={fieldClass}
          />
        </Labelled>
        <div>
          <label htmlFor={`${id}-input`} className="mb-1 block text-[14px] text-second">
            {t`Input at the mixer`}
          </label>
          <NumberBox
            id={`${id}-input`}
            value={source.input}
            min={0}
            max={65_534}
            className="min-h-[42px] w-28"
            onSave={(input) => save({ input })}
            onClear={() => save({ input: null })}
          />
        </div>
        <CloseButton label={t`Close ${source.name}`} onClose={onClose} />
      </div>
      <Labelled id={`${id}-who`} label={t`Who is usually there`}>
        <input
          id={`${id}-who`}
          key={source.who}
          defaultValue={source.who}
          maxLength={120}
          onBlur={({ target }) => text(target.value, source.who, (who) => ({ who }))}
          className={fieldClass}
        />
      </Labelled>
      <div className="flex flex-wrap items-end gap-3">
        <Labelled id={`${id}-picture`} label={t`Its picture here is`}>
          <select
            id={`${id}-picture`}
            value={isChoosing ? "media" : source.picture.kind}
            onChange={({ target }) => {
              const kind = target.value as SourcePicture["kind"];
              setIsChoosing(kind === "media");
              if (kind !== "media") save({ picture: freshPicture(kind, outputs) });
            }}
            className={`${fieldClass} min-h-[42px]`}
          >
            {Object.entries(PICTURES).map(([kind, words]) => (
              <option key={kind} value={kind}>
                {words}
              </option>
            ))}
          </select>
        </Labelled>
        {source.picture.kind === "screen" && (
          <Labelled id={`${id}-screen`} label={t`Which`}>
            <select
              id={`${id}-screen`}
              value={source.picture.outputId}
              onChange={({ target }) => save({ picture: { kind: "screen", outputId: target.value } })}
              className={`${fieldClass} min-h-[42px]`}
            >
              {outputs.map((output) => (
                <option key={output.id} value={output.id}>
                  {output.name}
                </option>
              ))}
            </select>
          </Labelled>
        )}
        {source.picture.kind === "scene" && (
          <Labelled id={`${id}-scene`} label={t`It shows`}>
            <select
              id={`${id}-scene`}
              value={source.picture.scene}
              onChange={({ target }) =>
                save({ picture: { kind: "scene", scene: target.value as "lectern" } })
              }
              className={`${fieldClass} min-h-[42px]`}
            >
              {TEST_SCENES.map((scene) => (
                <option key={scene} value={scene}>
                  {t`the ${scene}`}
                </option>
              ))}
            </select>
          </Labelled>
        )}
        {(source.picture.kind === "media" || isChoosing) && (
          <SourceMediaSelect
            id={`${id}-media`}
            mediaId={source.picture.kind === "media" ? source.picture.mediaId : ""}
            onChoose={(chosen) => {
              setIsChoosing(false);
              save({ picture: { kind: "media", mediaId: chosen } });
            }}
          />
        )}
      </div>
      {source.picture.kind === "camera" && (
        <p className="text-[14px] text-second">
          {t`Which camera that is, is said at each screen's machine: Screens → the screen → Cameras of this machine.`}
        </p>
      )}
      <button
        type="button"
        onClick={() => void remove()}
        className="flex min-h-9 w-fit items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
      >
        <Trash2 aria-hidden="true" className="size-4" /> {t`Remove`}
      </button>
    </div>
  );
}
