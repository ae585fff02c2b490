import { useEffect } from "react";
import { Link, useFetcher } from "react-router";
import { t } from "../../../core/language/t.ts";
import { SLIDES_FOLDER } from "../../../core/rundown/slides.ts";
import type { MediaInfo } from "../../../core/scene/media.ts";
import { call } from "../../api/call.ts";
import { LIBRARY_PATH, type LibraryData } from "../../api/loaded.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import { MarkPicker } from "../../pictures/MarkPicker.tsx";
import { MediaPicture } from "../../pictures/MediaPicture.tsx";

const NAMES = { picture: t`pictures`, video: t`clips`, sound: t`sounds` } as const;

/** Pictures, clips or sounds of the library side by side; a press chooses one, another press lets it go. */
export function MediaPicker({
  id,
  type,
  value,
  onChange,
}: {
  id: string;
  type: MediaInfo["type"];
  value: string;
  onChange: (id: string) => void;
}) {
  const store = useDeskStore();
  const { load, data } = useFetcher<LibraryData>();
  useEffect(() => {
    void load(LIBRARY_PATH);
  }, [load]);
  const all = (data?.items ?? []).filter(({ info }) => info.type === type);
  // A talk has hundreds: of slides only the chosen one stands among the pictures.
  const items = all.filter((item) => item.id === value || !item.folder.startsWith(SLIDES_FOLDER));
  const takeMark = async (mark: string, color: string) => {
    const answer = await call("/library-mark", { mark, color });
    if ("problem" in answer) return store.say("trouble", answer.problem.sentence);
    onChange(answer.value.id);
    await load(LIBRARY_PATH);
  };
  return (
    <div id={id} tabIndex={-1} className="flex flex-wrap items-center gap-2">
      {items.map((item) => (
        <button
          key={item.id}
          type="button"
          aria-pressed={item.id === value}
          onClick={() => onChange(item.id === value ? "" : item.id)}
          className={`flex w-[150px] flex-col gap-1 rounded-md border-2 p-1 text-left text-[14px] ${item.id === value ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"}`}
        >
          <MediaPicture info={item.info} />
          <span className="truncate">{item.info.name}</span>
        </button>
      ))}
      {data && type === "picture" && (
        <MarkPicker colors={data.colors} onChoose={({ id: mark }, color) => void takeMark(mark, color)} />
      )}
      {items.length < all.length && (
        <p className="text-[15px] text-second">
          {t`${all.length - items.length} ${all.length - items.length === 1 ? t`slide` : t`slides`} more in the`}{" "}
          <Link to="/library" className="text-act underline">
            {t`library`}
          </Link>
        </p>
      )}
      {data && items.length === 0 && (
        <p className="text-[15px] text-second">
          {t`No ${NAMES[type]} are here yet.`}{" "}
          <Link to="/library" className="text-act underline">
            {t`Bring some in`}
          </Link>
        </p>
      )}
    </div>
  );
}
