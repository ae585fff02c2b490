import { useState } from "react";
import type { CommentTold } from "../../core/comments/comment.ts";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { useKeys } from "../ui/useKeys.ts";
import { CommentRow } from "./CommentRow.tsx";
import { CommentSources } from "./CommentSources.tsx";
import { PickedComments } from "./PickedComments.tsx";
import { useComments } from "./useComments.ts";

/** Which of them are looked at. */
const SHELVES = [
  { name: t`To read`, has: (c: CommentTold) => !c.isPicked && !c.isHeldBack },
  { name: t`Marked`, has: (c: CommentTold) => c.isMarked },
  { name: t`Held back`, has: (c: CommentTold) => c.isHeldBack },
  { name: t`All`, has: () => true },
] as const;
type Shelf = (typeof SHELVES)[number];
/** More are never read at once; words find the others. */
const MOST_SHOWN = 300;

/** What people write: read one after another, picked or held back; only what was picked can come on a page. */
export function CommentsView() {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const { told, act } = useComments();
  const [shelf, setShelf] = useState<Shelf>(SHELVES[0]);
  const [words, setWords] = useState("");
  const [chosenId, setChosenId] = useState<string>();
  const comments = told?.comments ?? [];
  const wanted = words.trim().toLocaleLowerCase();
  const found = comments.filter(
    (comment) =>
      shelf.has(comment) &&
      (wanted === "" || `${comment.name} ${comment.words}`.toLocaleLowerCase().includes(wanted)),
  );
  const shown = found.slice(0, MOST_SHOWN);
  const at = Math.max(
    0,
    shown.findIndex(({ id }) => id === chosenId),
  );
  const chosen = shown[at];
  const go = (to: number) => {
    const next = shown[Math.min(shown.length - 1, Math.max(0, to))];
    if (!next) return;
    setChosenId(next.id);
    document.querySelector(`[data-comment="${next.id}"]`)?.scrollIntoView({ block: "nearest" });
  };
  /** What was done with it takes it from this shelf: the next one is chosen. */
  const leave = () => setChosenId((shown[at + 1] ?? shown[at - 1])?.id);
  const pick = async (comment: CommentTold | undefined) => {
    if (!comment) return;
    if (comment.id === chosen?.id && !comment.isPicked) leave();
    await act({ kind: comment.isPicked ? "unpick" : "pick", id: comment.id, actor });
  };
  const holdBack = async (comment: CommentTold | undefined) => {
    if (!comment) return;
    if (comment.id === chosen?.id) leave();
    await act({ kind: "holdBack", id: comment.id, isOn: !comment.isHeldBack, actor });
  };
  const mark = (comment: CommentTold | undefined) =>
    comment && act({ kind: "mark", id: comment.id, isOn: !comment.isMarked, actor });
  useKeys({
    ArrowDown: { run: () => go(at + 1) },
    ArrowUp: { run: () => go(at - 1) },
    Enter: { run: () => void pick(chosen), where: "offControls", isOnce: true },
    h: { run: () => void holdBack(chosen), isOnce: true },
    m: { run: () => void mark(chosen), isOnce: true },
  });
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(360px,42%)] max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-[minmax(0,1fr)_minmax(220px,42%)]">
      <main aria-label={t`Comments`} className="relative flex min-h-0 min-w-0 flex-col">
        <div className="flex flex-wrap items-center gap-2 px-5 pt-4 pb-3">
          {SHELVES.map((each) => (
            <button
              key={each.name}
              type="button"
              aria-pressed={each === shelf}
              onClick={() => setShelf(each)}
              className="min-h-9 rounded-full bg-lifted px-3.5 text-[15px] hover:bg-edge aria-pressed:bg-paper aria-pressed:font-semibold aria-pressed:text-ground"
            >
              {each.name} <span className="tabular-nums">{comments.filter(each.has).length}</span>
            </button>
          ))}
          <input
            aria-label={t`Words of a comment`}
            placeholder={t`Name or words`}
            value={words}
            onChange={({ target }) => setWords(target.value)}
            className="ml-auto min-h-9 w-48 rounded-md border border-edge-strong bg-ground px-3 text-[15px]"
          />
        </div>
        <ol className="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
          {told &&
            shown.map((comment) => (
              <CommentRow
                key={comment.id}
                comment={comment}
                hiding={told.settings}
                isChosen={comment.id === chosen?.id}
                onChoose={() => setChosenId(comment.id)}
                onPick={() => void pick(comment)}
                onHoldBack={() => void holdBack(comment)}
                onMark={() => void mark(comment)}
              />
            ))}
          {found.length > MOST_SHOWN && (
            <li className="px-3 py-2 text-[15px] text-second">
              {t`and ${found.length - MOST_SHOWN} more; type words to find them.`}
            </li>
          )}
        </ol>
        {told && found.length === 0 && (
          <p className="px-6 pb-6 text-[15px] text-second">
            {comments.length === 0
              ? t`Nobody has written anything yet. Say where comments come from, or paste some.`
              : t`Nothing here. What comes is put at the end by itself.`}
          </p>
        )}
        <p className="flex flex-wrap gap-x-4 gap-y-1 border-t border-edge px-5 py-2.5 text-[15px]">
          <span>
            <kbd>↑ ↓</kbd> {t`choose`}
          </span>
          <span>
            <kbd>Enter</kbd> {t`pick`}
          </span>
          <span>
            <kbd>H</kbd> {t`hold back`}
          </span>
          <span>
            <kbd>M</kbd> {t`mark`}
          </span>
        </p>
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Picked comments`}
        className="flex min-h-0 flex-col gap-5 overflow-y-auto border-l border-edge bg-raised px-5 py-4 *:flex-none max-[1000px]:border-t max-[1000px]:border-l-0"
      >
        <PickedComments actor={actor} />
        {told && <CommentSources settings={told.settings} act={act} />}
      </aside>
    </div>
  );
}
