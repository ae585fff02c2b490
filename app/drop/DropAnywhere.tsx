import { fromEvent } from "file-selector";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { TAKEN_FOR, type TakenFor, whatItIs } from "./whatItIs.ts";

const WAYS: Readonly<
  Record<TakenFor, { readonly view: string; readonly name: string; readonly says: string }>
> = {
  slides: {
    view: "/prepare",
    name: t`Slides`,
    says: t`Each becomes a cue at the end of the rundown, with its picture in the library.`,
  },
  rundown: {
    view: "/prepare",
    name: t`A rundown`,
    says: t`It is read line by line, and shown to you before anything is added.`,
  },
  songs: {
    view: "/songs",
    name: t`Songs`,
    says: t`For the list of songs: words, or ChordPro. No cue is added.`,
  },
  library: {
    view: "/library",
    name: t`For the library`,
    says: t`Pictures, clips, sounds and fonts. No cue is added.`,
  },
  design: {
    view: "/design",
    name: t`A template or style`,
    says: t`It can be chosen from then on. Pages keep the look that they have.`,
  },
  scripture: {
    view: "/texts",
    name: t`A scripture text`,
    says: t`OSIS or USFM. Readings can be read from it as soon as all of it is here.`,
  },
  feed: {
    view: "/feeds",
    name: t`Rows for a feed`,
    says: t`A new feed, with the rows of this table, that can fill pages.`,
  },
  show: {
    view: "/carry",
    name: t`A show file`,
    says: t`It is looked into first; nothing changes until you say what of it you want.`,
  },
};

/** What is dragged over a window tells of itself a few times a second, still or not; that it left, it may not tell. */
const UNHEARD_MS = 1_500;
/** Of a folder with more than these, the first are taken. */
const MOST_FILES = 500;

interface Dropped {
  readonly files: readonly File[];
  readonly more: number;
  readonly guess: TakenFor | undefined;
}

/** Whatever is dropped anywhere on the desk: it says what it takes it for, and can be told otherwise. */
export function DropAnywhere() {
  const store = useDeskStore();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const view = pathname.split("/")[1] ?? "";
  const [dropped, setDropped] = useState<Dropped | null>(null);
  const [chosen, setChosen] = useState<TakenFor>("slides");
  const [isOver, setIsOver] = useState(false);
  useEffect(() => {
    let gone: ReturnType<typeof setTimeout> | undefined;
    const over = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes("Files")) return;
      event.preventDefault();
      setIsOver(true);
      clearTimeout(gone);
      gone = setTimeout(() => setIsOver(false), UNHEARD_MS);
    };
    const drop = (event: DragEvent) => {
      clearTimeout(gone);
      setIsOver(false);
      if (event.defaultPrevented || !event.dataTransfer?.types.includes("Files")) return;
      // Else the browser would leave the desk and show the file.
      event.preventDefault();
      fromEvent(event).then(
        (found) => {
          const all = found.filter((each): each is Extract<typeof each, File> => each instanceof File);
          const files = all.slice(0, MOST_FILES);
          if (files.length === 0) {
            store.say("trouble", t`There is no file in what was dropped. Nothing was brought in.`);
            return;
          }
          const guess = whatItIs(files, view);
          setDropped({ files, more: all.length - files.length, guess });
          setChosen(guess ?? "slides");
        },
        (error: unknown) =>
          store.say(
            "trouble",
            t`What was dropped could not be read (${error instanceof Error ? error.message : String(error)}). Nothing was brought in; drop it again.`,
          ),
      );
    };
    window.addEventListener("dragenter", over);
    window.addEventListener("dragover", over);
    window.addEventListener("drop", drop);
    return () => {
      window.removeEventListener("dragenter", over);
      window.removeEventListener("dragover", over);
      clearTimeout(gone);
      window.removeEventListener("drop", drop);
    };
  }, [view, store]);
  const bring = () => {
    if (!dropped) return;
    setDropped(null);
    store.dropped.hand(chosen, dropped.files);
    const way = WAYS[chosen];
    if (pathname !== way.view) void navigate(way.view);
  };
  const name = dropped?.files[0]?.name ?? "";
  const others = (dropped?.files.length ?? 0) - 1;
  // One thing that stays lies beneath the pointer: what is dropped on something that goes in that moment is lost.
  if (isOver)
    return (
      <div className="fixed inset-0 z-40 grid place-content-center border-4 border-act p-8 text-center">
        <p className="pointer-events-none rounded-xl border border-edge-strong bg-raised px-8 py-5 text-[16px] text-second shadow-2xl">
          <strong className="block text-[22px] font-semibold text-paper">{t`Let go anywhere`}</strong>
          {t`You are asked first what it is. What is on air stays as it is.`}
        </p>
      </div>
    );
  return (
    <Dialog.Root open={dropped !== null} onOpenChange={(isOpen) => !isOpen && setDropped(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Dialog.Content
          className="fixed inset-x-0 top-[12vh] z-50 mx-auto max-h-[84vh] w-[min(46rem,94vw)] overflow-y-auto rounded-xl border border-edge-strong bg-raised p-5 shadow-2xl"
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            document.getElementById("drop-bring")?.focus();
          }}
        >
          <Dialog.Title className="text-[19px] font-semibold break-words">
            “{name}”{others > 0 && (others === 1 ? t` and one more file` : t` and ${others} more files`)}
          </Dialog.Title>
          <Dialog.Description className="mt-1 mb-4 text-[15px] text-second">
            {dropped?.guess
              ? t`Taken for: ${WAYS[dropped.guess].name.toLowerCase()}.`
              : t`It cannot be told by its name what this is. Say it.`}
            {dropped && dropped.more > 0 && t` Of so many files the first ${MOST_FILES} are taken.`}
          </Dialog.Description>
          <fieldset className="grid grid-cols-2 gap-1.5 max-sm:grid-cols-1">
            <legend className="sr-only">{t`What it is`}</legend>
            {TAKEN_FOR.map((each) => (
              <label
                key={each}
                className="flex cursor-pointer items-start gap-3 rounded-lg border border-edge px-3 py-2 has-checked:border-act has-checked:bg-lifted"
              >
                <input
                  type="radio"
                  name="taken-for"
                  className="mt-1 size-4 shrink-0 accent-act"
                  checked={chosen === each}
                  onChange={() => setChosen(each)}
                />
                <span>
                  <strong className="block text-[16px] font-semibold">{WAYS[each].name}</strong>
                  <span className="block text-[15px] text-second">{WAYS[each].says}</span>
                </span>
              </label>
            ))}
          </fieldset>
          <div className="mt-4 flex justify-end gap-2">
            <Dialog.Close className="min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge">
              {t`Leave it`}
            </Dialog.Close>
            <button
              id="drop-bring"
              type="button"
              onClick={bring}
              className="min-h-10 rounded-lg bg-act px-5 text-[15px] font-bold text-on-bright hover:brightness-110"
            >
              {t`Bring it in`}
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
