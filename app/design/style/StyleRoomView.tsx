import { Copy } from "lucide-react";
import { useDeferredValue, useMemo, useState } from "react";
import { useNavigate, useRevalidator } from "react-router";
import { t } from "../../../core/language/t.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import type { Template } from "../../../core/scene/template.ts";
import { call } from "../../api/call.ts";
import type { StyleRoomData } from "../../api/loaded.ts";
import { newId } from "../../api/newId.ts";
import { useDesk, useDeskStore, useDrawing } from "../../desk/deskContext.ts";
import { NoticeBar } from "../../desk/NoticeBar.tsx";
import { useActor } from "../../desk/useActor.ts";
import type { Drawing } from "../../live/drawing.ts";
import { PagePicture } from "../../pictures/PagePicture.tsx";
import { RESTING_MS, useLaidOut } from "../../pictures/useLaidOut.ts";
import { smallButton } from "../room/properties/styles.ts";
import { RoomHead } from "../room/RoomHead.tsx";
import { useRoom, useRoomSnapshot } from "../room/useRoom.ts";
import { Versions } from "../room/Versions.tsx";
import { packAddress } from "../templateFiles.ts";
import { useOverBackdrop } from "../useOverBackdrop.ts";
import type { EditStyle } from "./editStyle.ts";
import { StyleColors } from "./StyleColors.tsx";
import { StyleFonts } from "./StyleFonts.tsx";
import { StyleMeasures } from "./StyleMeasures.tsx";
import { StyleShadows } from "./StyleShadows.tsx";

/** Colours, fonts and measures of a house style, with every template in it beside them. */
export function StyleRoomView(data: StyleRoomData) {
  const drawing = useDrawing();
  const store = useDeskStore();
  const navigate = useNavigate();
  const { revalidate } = useRevalidator();
  const actor = useActor(store.windowId);
  const room = useRoom({ kind: "style", id: data.id }, data, actor);
  const snapshot = useRoomSnapshot(room);
  const { doc, state } = snapshot;
  const edit: EditStyle = (label, change) => room.edit(label, change, true);
  const copy = async () => {
    const id = newId();
    const of = { kind: "style", id: data.id } as const;
    const name = t`${doc.name}, our own`.slice(0, 80);
    const answer = await call("/design-edit", { actor, edit: { kind: "duplicate", of, id, name } });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else void navigate(`/design/style/${id}`);
  };
  const wear = async () => {
    const answer = await call("/wear-style", { styleId: data.id, fonts: {}, actor });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else
      store.say(
        "word",
        t`“${answer.value.worn}” is used from the next take on. What is on air stays as it is until it is sent.`,
      );
    await revalidate();
  };
  const isWorn = data.wornStyleId === data.id && data.wornVersion === state.published && !state.isDraft;
  return (
    <main aria-label={t`House style ${doc.name}`} className="relative flex min-h-0 flex-1 flex-col">
      <RoomHead
        name={doc.name}
        nameLabel={t`Name of the house style`}
        facts={t`House style`}
        snapshot={snapshot}
        onRename={(name) => edit(t`Rename the style`, (from) => ({ ...from, name }))}
        onStep={(direction) => room.step(direction)}
        packed={packAddress("style", data.id)}
      >
        <Versions kind="style" id={data.id} state={state} onRestore={(number) => room.restore(number)} />
        <button type="button" onClick={() => void copy()} className={`${smallButton} min-h-9`}>
          <Copy aria-hidden="true" className="size-4" /> {t`Copy`}
        </button>
        <button
          type="button"
          disabled={!state.isDraft}
          onClick={() => room.publish("", store.name)}
          className="min-h-9 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge disabled:text-second"
        >
          {state.isDraft ? t`Publish` : t`Version ${state.published}`}
        </button>
        <button
          type="button"
          disabled={isWorn || state.isDraft || state.published === null}
          title={state.isDraft ? t`Publish it first` : undefined}
          onClick={() => void wear()}
          className="min-h-9 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-second"
        >
          {isWorn ? t`The show uses it` : t`Use it in the show`}
        </button>
      </RoomHead>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(300px,400px)_minmax(0,1fr)]">
        <section
          aria-label={t`Values of the style`}
          className="flex min-h-0 flex-col gap-5 overflow-y-auto border-r border-edge px-4 py-3"
        >
          <StyleColors style={doc} pictures={data.media} onEdit={edit} />
          <StyleFonts style={doc} fonts={data.fonts} onEdit={edit} />
          <StyleMeasures style={doc} onEdit={edit} />
          <StyleShadows style={doc} onEdit={edit} />
        </section>
        {drawing ? (
          <StylePages data={data} style={doc} drawing={drawing} />
        ) : (
          <p className="p-5 text-second">{t`The fonts are being loaded…`}</p>
        )}
      </div>
      <NoticeBar />
    </main>
  );
}

/** Every template of an outfit in the style as it is being made. */
function StylePages({
  data: { wardrobes, samples },
  style,
  drawing,
}: {
  data: StyleRoomData;
  style: HouseStyle;
  drawing: Drawing;
}) {
  const { outfits, fieldSets } = useDesk("outfits", "fieldSets");
  const [outfitId, setOutfitId] = useState(wardrobes[0]?.outfitId ?? "");
  const wardrobe = wardrobes.find((each) => each.outfitId === outfitId);
  const templates = useMemo<readonly Template[]>(
    () => (wardrobe?.templates ?? []).filter(({ isWorn }) => isWorn).map(({ template }) => template),
    [wardrobe],
  );
  // What is under the hand comes first; pictures follow as soon as there is time.
  const calm = useDeferredValue(style);
  const pages = useLaidOut(templates, calm, drawing, fieldSets, samples);
  const { layers, ground } = useOverBackdrop(templates, pages);
  const canvas = templates[0]?.canvas;
  const isTall = canvas !== undefined && canvas.widthPx < canvas.heightPx;
  return (
    <section aria-label={t`Pages in this style`} className="flex min-h-0 flex-col">
      <div role="tablist" aria-label={t`Outfits`} className="flex shrink-0 flex-wrap gap-1.5 px-4 py-2.5">
        {wardrobes.map(({ outfitId: id }) => (
          <button
            key={id}
            type="button"
            role="tab"
            aria-selected={id === outfitId}
            onClick={() => setOutfitId(id)}
            className={`min-h-9 rounded-full px-4 text-[15px] ${id === outfitId ? "bg-paper font-semibold text-ground" : "bg-lifted text-second hover:text-paper"}`}
          >
            {outfits.find((each) => each.id === id)?.name ?? id}
          </button>
        ))}
      </div>
      <section
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        aria-label={t`Pictures`}
        className="min-h-0 flex-1 overflow-y-auto px-4 pb-4"
      >
        <ul
          className="grid gap-4"
          style={{
            gridTemplateColumns: `repeat(auto-fill, minmax(${isTall ? 150 : 250}px, 1fr))`,
          }}
        >
          {templates.map((template, i) => {
            const shown = layers[i];
            return (
              shown && (
                <li key={template.id || template.name}>
                  <PagePicture
                    pages={shown}
                    drawing={drawing}
                    atMs={RESTING_MS}
                    label={template.name}
                    ground={ground}
                  />
                  <p className="mt-1 text-[14px] text-second">{template.name}</p>
                </li>
              )
            );
          })}
        </ul>
      </section>
    </section>
  );
}
