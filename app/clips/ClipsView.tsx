import { FileCode2, Film, Plus } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useRef, useState } from "react";
import { clipSchema } from "../../core/clips/clip.ts";
import { t } from "../../core/language/t.ts";
import type { LibraryItem } from "../api/loaded.ts";
import { newId } from "../api/newId.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { formatLength } from "../ui/format.ts";
import { bringDetails } from "./bringDetails.ts";
import { ClipDetails } from "./ClipDetails.tsx";
import { ClipList } from "./ClipList.tsx";
import { editClips } from "./editClips.ts";

const button =
  "flex min-h-9 shrink-0 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";

/** The clips of an evening in the order in which they play, and what is known of each. @param videos clips of the library */
export function ClipsView({ videos }: { videos: readonly Pick<LibraryItem, "id" | "info">[] }) {
  const store = useDeskStore();
  const { follow } = useDesk("follow");
  const [chosenId, setChosenId] = useState<string>();
  const clips = follow?.clips ?? [];
  // One that was just added is told of a moment later: until then the one before stands.
  const shown = useRef<string>(undefined);
  const find = (wanted: string | undefined) => clips.find(({ id }) => id === wanted);
  const chosen = find(chosenId) ?? find(shown.current) ?? clips[0];
  shown.current = chosen?.id;
  const fileOf = (mediaId: string) => videos.find(({ id }) => id === mediaId)?.info.name ?? "";
  const add = async (mediaId: string) => {
    const name = fileOf(mediaId).replace(/\.[^.]+$/, "");
    const clip = clipSchema.parse({ id: newId(), name: name.slice(0, 120).trim() || t`Clip`, mediaId });
    if (await editClips(store, { kind: "saveClip", clip, baseRevision: 0 })) setChosenId(clip.id);
  };
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[400px_minmax(0,1fr)] max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-[minmax(200px,42%)_minmax(0,1fr)]">
      <aside
        aria-label={t`List of clips`}
        className="flex min-h-0 flex-col border-r border-edge bg-raised max-[1000px]:border-r-0 max-[1000px]:border-b"
      >
        <div className="flex items-center gap-2 px-4 pt-4 pb-2">
          <h2 className="flex-1 text-[17px] font-semibold">{t`Clips`}</h2>
          <label
            className={`${button} cursor-pointer focus-within:outline-2 focus-within:outline-act`}
            title={t`Files with what is known of clips: each goes to the clip that it is called like`}
          >
            <FileCode2 aria-hidden="true" className="size-4" /> {t`XML files`}
            <input
              type="file"
              multiple
              accept=".xml,text/xml,application/xml"
              className="sr-only"
              onChange={({ target }) => {
                const files = [...(target.files ?? [])];
                target.value = "";
                void bringDetails(store, files, fileOf).then(([first]) => first && setChosenId(first));
              }}
            />
          </label>
          <DropdownMenu.Root>
            <DropdownMenu.Trigger className={button}>
              <Plus aria-hidden="true" className="size-4" /> {t`Add`}
            </DropdownMenu.Trigger>
            <DropdownMenu.Portal>
              <DropdownMenu.Content
                align="end"
                sideOffset={6}
                className="z-30 max-h-96 w-80 overflow-y-auto rounded-lg border border-edge-strong bg-raised p-1.5 shadow-xl"
              >
                {videos.map(({ id, info }) => (
                  <DropdownMenu.Item
                    key={id}
                    onSelect={() => void add(id)}
                    className="flex cursor-pointer justify-between gap-3 rounded-md px-3 py-2 text-[15px] outline-none data-[highlighted]:bg-lifted"
                  >
                    <span className="truncate">{info.name}</span>
                    <span className="text-second tabular-nums">{formatLength(info.durationMs ?? 0)}</span>
                  </DropdownMenu.Item>
                ))}
                {videos.length === 0 && (
                  <p className="px-3 py-2 text-[15px] text-second">
                    {t`There is no clip in the library yet. Bring one under Library first.`}
                  </p>
                )}
              </DropdownMenu.Content>
            </DropdownMenu.Portal>
          </DropdownMenu.Root>
        </div>
        <ClipList chosenId={chosen?.id} onChoose={setChosenId} />
      </aside>
      <main aria-label={t`Clips`} className="relative flex min-h-0 min-w-0 flex-col">
        <div className="min-h-0 flex-1 overflow-y-auto px-6 py-5">
          {chosen ? (
            <ClipDetails key={chosen.id} clip={chosen} fileOf={fileOf} />
          ) : (
            <p className="flex max-w-xl gap-3 text-[15px] text-second">
              <Film aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-act" />
              {t`The list says which clips of the library play, in which order, and what each does at its end. A source whose picture is “the clip that plays” shows it; triggers bring titles so many seconds in.`}
            </p>
          )}
        </div>
        <NoticeBar />
      </main>
    </div>
  );
}
