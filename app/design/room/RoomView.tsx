import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignStartHorizontal,
  AlignStartVertical,
  type LucideIcon,
  Undo2,
} from "lucide-react";
import { useMemo, useState, useSyncExternalStore } from "react";
import { ALIGNMENTS, type Alignment, alignObjects } from "../../../core/design/edit/arrange.ts";
import { addField, changeField, notShown } from "../../../core/design/edit/fields.ts";
import { editInShape, giveBack, isOwnIn } from "../../../core/design/edit/inShape.ts";
import { findObject, withObjects } from "../../../core/design/edit/objects.ts";
import { outside, placeObject } from "../../../core/design/edit/place.ts";
import { moveInto, removeObjects } from "../../../core/design/edit/structure.ts";
import { t } from "../../../core/language/t.ts";
import { type FieldKindName, fieldKind } from "../../../core/scene/fieldKinds.ts";
import { isForPages } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import type { Motion } from "../../../core/scene/motion.ts";
import type { ReadableObject } from "../../../core/scene/objectKinds.ts";
import { shapesOf } from "../../../core/scene/shapes.ts";
import type { Template } from "../../../core/scene/template.ts";
import type { RoomData } from "../../api/loaded.ts";
import { useDeskStore, useDrawing } from "../../desk/deskContext.ts";
import { NoticeBar } from "../../desk/NoticeBar.tsx";
import { useActor } from "../../desk/useActor.ts";
import type { Drawing } from "../../live/drawing.ts";
import standIn from "../../live/standInPicture.svg";
import { MarkPicker } from "../../pictures/MarkPicker.tsx";
import { useKeys } from "../../ui/useKeys.ts";
import { packAddress } from "../templateFiles.ts";
import { BringIn } from "./bring/BringIn.tsx";
import { Canvas } from "./Canvas.tsx";
import { FieldsPanel } from "./FieldsPanel.tsx";
import { MotionBands } from "./MotionBands.tsx";
import { AddObject, ArrangeMenu } from "./menus.tsx";
import { ObjectsList } from "./ObjectsList.tsx";
import { PlayBar } from "./PlayBar.tsx";
import { Proofs } from "./Proofs.tsx";
import { PropertiesPanel } from "./PropertiesPanel.tsx";
import { PublishButton } from "./PublishButton.tsx";
import { Playhead } from "./playhead.ts";
import { type Known, KnownContext } from "./properties/known.ts";
import { toolClass } from "./properties/styles.ts";
import { RoomHead } from "./RoomHead.tsx";
import { ShapeMenu } from "./ShapeMenu.tsx";
import { type PageSample, type ProofName, samplesFor } from "./samples.ts";
import { useBoxes } from "./useBoxes.ts";
import { useFieldToShow } from "./useFieldToShow.ts";
import { useHeld } from "./useHeld.ts";
import { useKnownHere } from "./useKnownHere.ts";
import { usePageSample } from "./usePageSample.ts";
import { useRoom, useRoomSnapshot } from "./useRoom.ts";
import { useRoomActs } from "./useRoomActs.ts";
import { problemsOf, useTemplatePage } from "./useTemplatePage.ts";
import { Versions } from "./Versions.tsx";
import { WordsContrast } from "./WordsContrast.tsx";

/** The room in which a template is made. */
export function RoomView(data: RoomData) {
  const drawing = useDrawing();
  return drawing ? (
    <OpenRoom data={data} drawing={drawing} />
  ) : (
    <main aria-label={t`Design`} className="grid flex-1 place-content-center text-[16px] text-second">
      {t`The fonts are being loaded…`}
    </main>
  );
}

function OpenRoom({ data, drawing }: { data: RoomData; drawing: Drawing }) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const room = useRoom({ kind: "template", id: data.id }, data, actor);
  const { doc, state, isSaving, isUnsaved } = useRoomSnapshot(room);
  // What pages fill in is made beside the template that shows it.
  const fields = useRoom({ kind: "fieldSet", id: data.fieldSet.doc.id }, data.fieldSet, actor);
  const { doc: fieldSet, state: fieldsState } = useRoomSnapshot(fields);
  const [preview, setPreview] = useState<{ label: string; template: Template } | null>(null);
  const [selected, setSelected] = useState<readonly string[]>([]);
  const [entered, setEntered] = useState<ReadonlySet<string>>(new Set());
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [showSafe, setShowSafe] = useState(true);
  const [playhead] = useState(() => new Playhead());
  const { phase } = useSyncExternalStore(playhead.subscribe, playhead.getSnapshot, playhead.getSnapshot);
  const [drawer, setDrawer] = useState<"proofs" | "motion">("proofs");
  const fromPage = usePageSample(doc.fieldSet);
  const [typed, setTyped] = useState<Readonly<Record<string, string>> | null>(null);
  const own = useMemo<readonly PageSample[]>(
    () => [
      ...(fromPage ? [fromPage] : []),
      ...(typed ? [{ name: "typed" as const, title: t`typed here`, values: typed }] : []),
    ],
    [fromPage, typed],
  );
  const [sample, setSample] = useState<ProofName>(fromPage ? "page" : "typical");
  const [styleId, setStyleId] = useState(data.wornStyleId);
  const style = (data.styles.find(({ id }) => id === styleId) ?? data.styles[0])?.style as HouseStyle;
  const whole = preview?.template ?? doc;
  const [wantedShape, setShape] = useState(0);
  const shape = wantedShape < shapesOf(whole).length ? wantedShape : 0;
  const template = shapesOf(whole)[shape] as Template;
  const media = useMemo(() => new Map(data.media.map(({ hash, info }) => [hash, info])), [data.media]);
  const values = useMemo(
    () =>
      own.find(({ name }) => name === sample)?.values ??
      samplesFor(
        doc.fieldSet,
        fieldSet,
        sample === "page" || sample === "typed" ? "typical" : sample,
        data.samples,
      ),
    [doc.fieldSet, fieldSet, sample, own, data.samples],
  );
  const seenWhole = useMemo(
    () => (hidden.size === 0 ? whole : removeObjects(whole, [...hidden])),
    [whole, hidden],
  );
  const seen = shapesOf(seenWhole)[shape] as Template;
  const page = useTemplatePage({ template: seen, values, style, fieldSet, media, drawing });
  const others = useMemo(
    () => samplesFor(doc.fieldSet, fieldSet, sample === "longest" ? "typical" : "longest", data.samples),
    [doc.fieldSet, fieldSet, sample, data.samples],
  );
  const other = useTemplatePage({
    ...{ template: seen, values: others, style, fieldSet, media, drawing },
    isWanted: phase === "change" || phase === "all",
  });
  const problems = problemsOf(page);
  const boxes = useBoxes(template, page.places);
  const chosen = selected.filter((id) => findObject(template, id));
  // What is dragged changes neither the lists nor the bars.
  const held = useHeld(preview !== null);
  const object = chosen.length === 1 ? findObject(template, chosen[0] as string) : undefined;
  const edit = (label: string, change: (from: Template) => Template, joins = false) =>
    room.edit(label, (from) => editInShape(from, shape, change), joins);

  const acts = useRoomActs({
    ...{ edit, boxes, chosen, fieldSet, setSelected, setEntered },
    step: (direction) => room.step(direction),
    say: (sentence) => store.say("word", sentence),
    doc: shapesOf(doc)[shape] ?? doc,
  });
  useKeys(acts.keys);
  useFieldToShow(fieldSet, template, acts.show);

  const makeField = (kind: FieldKindName, usual: string): string => {
    const named = object ? object.editing.name || object.id : "";
    const made = addField(fields.getSnapshot().doc, named || fieldKind(kind).name, kind);
    fields.edit(t`Add the field ${named}`, () =>
      usual ? changeField(made.set, made.name, { usual }) : made.set,
    );
    return made.name;
  };
  const known: Known = {
    ...useKnownHere(template, style, fieldSet, data),
    makeField: isForPages(fieldSet) ? makeField : null,
    mediaField: object?.kind === "video" ? "clip" : object?.kind === "sound" ? "sound" : "picture",
  };
  return (
    <KnownContext value={known}>
      <main aria-label={t`Template ${doc.name}`} className="relative flex min-h-0 flex-1 flex-col">
        {held("head", () => (
          <RoomHead
            name={doc.name}
            nameLabel={t`Name of the template`}
            facts={fieldSet.name}
            snapshot={{ state, isSaving, isUnsaved }}
            onRename={(name) => edit(t`Rename the template`, (from) => ({ ...from, name }))}
            onStep={(direction) => room.step(direction)}
            packed={packAddress("template", data.id)}
            tools={
              <>
                <ShapeMenu
                  template={doc}
                  shape={shape}
                  onShape={setShape}
                  onEdit={(label, change) => room.edit(label, change)}
                />
                <label className="flex items-center gap-2">
                  {t`Style`}
                  <select
                    value={styleId}
                    onChange={({ target }) => setStyleId(target.value)}
                    className="min-h-8 rounded-md border border-edge-strong bg-ground px-2"
                  >
                    {data.styles.map(({ id, style: { name } }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                  </select>
                </label>
              </>
            }
          >
            <Versions
              kind="template"
              id={data.id}
              state={state}
              onRestore={(number) => room.restore(number)}
            />
            <PublishButton
              id={data.id}
              state={state}
              template={doc}
              fieldSet={fieldSet}
              style={style}
              media={media}
              drawing={drawing}
              hasNewFields={fieldsState.isDraft}
              onPublish={(note) => {
                // Forms have the fields before pages show them.
                if (fieldsState.isDraft) fields.publish(note, store.name);
                if (state.isDraft) room.publish(note, store.name);
              }}
            />
          </RoomHead>
        ))}
        <div className="flex shrink-0 flex-wrap items-center gap-2 border-b border-edge px-3 py-1.5">
          <AddObject onAdd={acts.add} />
          <BringIn
            template={shapesOf(doc)[shape] ?? doc}
            fields={notShown(template, fieldSet).filter(({ kind }) => fieldKind(kind).media === null)}
            onEdit={acts.put}
          />
          <MarkPicker
            colors={style.colors}
            onChoose={({ name, path }, _color, token) => acts.addMark(name, path, token)}
          />
          <span aria-hidden="true" className="mx-1 h-6 border-l border-edge" />
          {ALIGNMENTS.map((alignment) => {
            const { Icon, words } = ALIGN[alignment];
            return (
              <button
                key={alignment}
                type="button"
                aria-label={words}
                title={words}
                disabled={chosen.length === 0}
                onClick={() => edit(words, (from) => alignObjects(from, chosen, alignment, boxes))}
                className={toolClass}
              >
                <Icon aria-hidden="true" className="size-4.5" />
              </button>
            );
          })}
          <ArrangeMenu
            count={chosen.length}
            isGroup={object?.kind === "group"}
            onAct={(act) => acts.arrange[act]()}
          />
          <span aria-hidden="true" className="mx-1 h-6 border-l border-edge" />
          <PlayBar playhead={playhead} />
          <span className="ml-auto flex items-center gap-3 text-[14px]">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={showSafe}
                onChange={({ target }) => setShowSafe(target.checked)}
                className="size-4.5 accent-act"
              />
              {t`safe area`}
            </label>
          </span>
        </div>
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(190px,250px)_minmax(0,1fr)_minmax(270px,340px)] max-[1000px]:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)] max-[1000px]:grid-rows-[minmax(0,1.4fr)_minmax(0,1fr)]">
          <section aria-label={t`Objects`} className={`border-r ${panelClass}`}>
            <h2 className="shrink-0 px-3 py-2 text-[15px] font-semibold">{t`Objects`}</h2>
            <div data-objects className="min-h-0 flex-1 overflow-y-auto">
              {held("objects", () => (
                <ObjectsList
                  template={template}
                  selected={chosen}
                  hidden={hidden}
                  outside={new Set(outside(template, boxes))}
                  isDrawn={(id) => page.places.has(id)}
                  onSelect={setSelected}
                  onRename={(id, name) =>
                    acts.editing(id, t`Name an object`, { name: name === id ? "" : name })
                  }
                  onLock={(id, isLocked) => acts.editing(id, isLocked ? t`Lock` : t`Unlock`, { isLocked })}
                  onHide={(id) => setHidden(toggled(hidden, id))}
                  onMove={(id, parentId, index) =>
                    edit(t`Put in front or behind`, (from) => moveInto(from, id, parentId, index))
                  }
                />
              ))}
            </div>
            <div className="flex shrink-0 items-center justify-between border-t border-edge px-3 py-1.5">
              <h2 className="text-[15px] font-semibold">{t`Fields`}</h2>
              <button
                type="button"
                aria-label={
                  fieldsState.undo ? t`Undo: ${fieldsState.undo}` : t`Nothing to undo in the fields`
                }
                title={fieldsState.undo ? t`Undo: ${fieldsState.undo}` : undefined}
                disabled={!fieldsState.undo}
                onClick={() => fields.step("undo")}
                className={toolClass}
              >
                <Undo2 aria-hidden="true" className="size-4" />
              </button>
            </div>
            <div className="max-h-[45%] min-h-24 overflow-y-auto" data-fields>
              {held("fields", () => (
                <FieldsPanel
                  set={fieldSet}
                  template={template}
                  isBuiltIn={!isForPages(fieldSet)}
                  shownElsewhere={data.shownElsewhere}
                  onShow={acts.show}
                  onType={(typedNow) => {
                    setTyped(typedNow);
                    setSample("typed");
                  }}
                  onEdit={(label, change, joins) => fields.edit(label, change, joins)}
                />
              ))}
            </div>
          </section>
          <div className="flex min-h-0 min-w-0 flex-col max-[1000px]:order-first max-[1000px]:col-span-2 max-[1000px]:border-b max-[1000px]:border-edge">
            <Canvas
              template={template}
              page={page}
              boxes={boxes}
              drawing={drawing}
              ground={`#3a3330 url(${standIn}) center / cover`}
              other={other}
              playhead={playhead}
              selected={chosen}
              entered={entered}
              onSelect={setSelected}
              onEnter={(id) => {
                setEntered(new Set([...entered, id]));
                setSelected([]);
              }}
              onPreview={(label, change) => setPreview({ label, template: editInShape(doc, shape, change) })}
              onDone={() => {
                if (preview) room.edit(preview.label, () => preview.template);
                setPreview(null);
              }}
              onEdit={edit}
              showSafe={showSafe}
            />
            <div className="flex shrink-0 gap-1 border-t border-edge bg-raised px-3 pt-1">
              {DRAWERS.map(({ name, words }) => (
                <button
                  key={name}
                  type="button"
                  aria-pressed={drawer === name}
                  onClick={() => setDrawer(name)}
                  className="min-h-8 rounded-md px-3 text-[15px] text-second hover:text-paper aria-pressed:font-semibold aria-pressed:text-paper aria-pressed:underline aria-pressed:underline-offset-4"
                >
                  {words}
                </button>
              ))}
              <p
                aria-live="polite"
                title={problems.map(({ sentence }) => sentence).join("\n") || undefined}
                className="ml-auto min-w-0 self-center truncate text-[14px] text-attention"
              >
                {problems[0]?.sentence}
                {problems.length > 1 && t` And ${problems.length - 1} more.`}
              </p>
            </div>
            {drawer === "motion" && (
              <MotionBands
                template={template}
                page={page}
                selected={object}
                playhead={playhead}
                onSelect={(id) => setSelected([id])}
                onWindow={(id, timeWindow) =>
                  edit(
                    t`Set when it is seen`,
                    (from) =>
                      withObjects(from, (each) =>
                        each.id === id ? ({ ...each, timeWindow } as ReadableObject) : each,
                      ),
                    true,
                  )
                }
                onEdit={(id, label, change) =>
                  edit(
                    label,
                    (from) =>
                      withObjects(from, (each) =>
                        each.id === id
                          ? ({ ...each, motion: change(each.motion as Motion) } as ReadableObject)
                          : each,
                      ),
                    true,
                  )
                }
              />
            )}
            {drawer === "proofs" && (
              <Proofs
                template={seenWhole}
                fieldSet={fieldSet}
                samples={data.samples}
                media={media}
                style={style}
                drawing={drawing}
                own={own}
                chosen={sample}
                onChoose={setSample}
                shape={shape}
                onShape={setShape}
              />
            )}
          </div>
          <section aria-label={t`Properties`} className={`border-l ${panelClass}`}>
            <h2 className="shrink-0 px-3 py-2 text-[15px] font-semibold">
              {object
                ? object.editing.name || object.id
                : chosen.length > 1
                  ? t`${chosen.length} objects`
                  : t`Properties`}
            </h2>
            <div className="min-h-0 flex-1 overflow-y-auto">
              {object && shape > 0 && isOwnIn(doc, shape, object.id) && (
                <p className="flex flex-wrap items-center gap-2 px-3 pb-2 text-[14px] text-second">
                  {t`Its place or size is this shape’s own.`}
                  <button
                    type="button"
                    onClick={() =>
                      room.edit(t`Give back to the shape`, (from) => giveBack(from, shape, object.id))
                    }
                    className="text-act hover:underline"
                  >
                    {t`As it is arranged`}
                  </button>
                </p>
              )}
              {object ? (
                <PropertiesPanel
                  object={object}
                  box={boxes.get(object.id)}
                  canvas={template.canvas}
                  text={page.texts.find(({ objectId }) => objectId === object.id)}
                  contrast={
                    <WordsContrast
                      page={page}
                      drawing={drawing}
                      objectId={object.id}
                      box={boxes.get(object.id)}
                    />
                  }
                  onChange={(title, name, value) =>
                    edit(
                      t`Change ${title.toLowerCase()}`,
                      (from) =>
                        withObjects(from, (each) =>
                          each.id === object.id ? ({ ...each, [name]: value } as ReadableObject) : each,
                        ),
                      true,
                    )
                  }
                  onPlace={(to) => edit(t`Place`, (from) => placeObject(from, object.id, to, boxes), true)}
                />
              ) : (
                <p className="px-3 text-[15px] text-second">
                  {chosen.length > 1
                    ? t`Choose one of them to set what it is; align and arrange them above.`
                    : t`Choose an object on the canvas or in the list, or add one.`}
                </p>
              )}
            </div>
          </section>
        </div>
        <NoticeBar />
      </main>
    </KnownContext>
  );
}

/** A layer of its own: what moves on the canvas paints none of its many small marks again. */
const panelClass = "flex min-h-0 flex-col border-edge [contain:layout_paint] will-change-transform";

const DRAWERS = [
  { name: "proofs", words: t`Proofs` },
  { name: "motion", words: t`Motion` },
] as const;

const ALIGN: Readonly<Record<Alignment, { readonly Icon: LucideIcon; readonly words: string }>> = {
  left: { Icon: AlignStartVertical, words: t`Align left edges` },
  center: { Icon: AlignCenterVertical, words: t`Align middles from side to side` },
  right: { Icon: AlignEndVertical, words: t`Align right edges` },
  top: { Icon: AlignStartHorizontal, words: t`Align top edges` },
  middle: { Icon: AlignCenterHorizontal, words: t`Align middles from top to bottom` },
  bottom: { Icon: AlignEndHorizontal, words: t`Align bottom edges` },
};

const toggled = (set: ReadonlySet<string>, id: string): ReadonlySet<string> =>
  set.has(id) ? new Set([...set].filter((each) => each !== id)) : new Set([...set, id]);
