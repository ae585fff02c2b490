import { EyeOff, Plus, Star, Undo2 } from "lucide-react";
import { useMemo } from "react";
import type { CommentTold } from "../../core/comments/comment.ts";
import { type Hiding, strikeOut } from "../../core/comments/strikeOut.ts";
import { t } from "../../core/language/t.ts";
import { useLocale } from "../desk/useLocale.ts";
import { NamedPicture } from "../pictures/NamedPicture.tsx";
import { formatTimeOfDay } from "../ui/format.ts";
import { CommentWords } from "./CommentWords.tsx";

const button = "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";

/** Not shown here: nobody has looked at it, and a desk asks no stranger's server. */
const ADDRESS = /^https?:/i;

/** One comment, as it came, and what can be done with it. */
export function CommentRow({
  comment,
  hiding,
  isChosen,
  onChoose,
  onPick,
  onHoldBack,
  onMark,
}: {
  comment: CommentTold;
  hiding: Hiding;
  isChosen: boolean;
  onChoose: () => void;
  onPick: () => void;
  onHoldBack: () => void;
  onMark: () => void;
}) {
  const locale = useLocale();
  const { name, words, picture, atMs, isPicked, isHeldBack, isMarked } = comment;
  const [ofName, ofWords] = useMemo(
    () => [strikeOut(name || t`no name`, hiding), strikeOut(words, hiding)] as const,
    [name, words, hiding],
  );
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: arrows choose, for the whole list
    <li
      data-comment={comment.id}
      aria-current={isChosen || undefined}
      onClick={onChoose}
      className={`mb-1 flex flex-col gap-2 rounded-lg border-l-4 px-3 py-2.5 ${isChosen ? "border-l-act bg-lifted/60" : "border-l-transparent hover:bg-raised"} ${isHeldBack ? "opacity-60" : ""}`}
    >
      <div className="flex items-center gap-3 text-[15px]">
        <NamedPicture name={picture} className="size-9 rounded-full" />
        <strong dir="auto">
          <CommentWords pieces={ofName} />
        </strong>
        <time className="text-second tabular-nums">{formatTimeOfDay(atMs, locale)}</time>
        {ADDRESS.test(picture) && (
          <span className="text-second">{t`with a picture, brought when it is picked`}</span>
        )}
        {isPicked && <span className="text-act">{t`picked`}</span>}
        {isHeldBack && <span className="text-attention">{t`held back`}</span>}
      </div>
      <p dir="auto" className="font-words text-[18px] leading-snug break-words">
        <CommentWords pieces={ofWords} />
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" onClick={onPick} className={button}>
          {isPicked ? (
            <Undo2 aria-hidden="true" className="size-4" />
          ) : (
            <Plus aria-hidden="true" className="size-4" />
          )}
          {isPicked ? t`Take out` : t`Pick`}
        </button>
        <button type="button" aria-pressed={isHeldBack} onClick={onHoldBack} className={button}>
          <EyeOff aria-hidden="true" className="size-4" /> {isHeldBack ? t`Let through` : t`Hold back`}
        </button>
        <button
          type="button"
          aria-pressed={isMarked}
          onClick={onMark}
          className={`${button} aria-pressed:text-act`}
        >
          <Star aria-hidden="true" className={`size-4 ${isMarked ? "fill-current" : ""}`} />
          {isMarked ? t`Marked` : t`Mark`}
        </button>
      </div>
    </li>
  );
}
