import type { Piece } from "../../core/comments/strikeOut.ts";

/** The words of a comment, with what will not be shown struck out. */
export function CommentWords({ pieces }: { pieces: readonly Piece[] }) {
  return (
    <p dir="auto" className="font-words text-[18px] leading-snug break-words whitespace-pre-wrap">
      {pieces.map(({ text, struck }, at) =>
        struck ? (
          <s
            // biome-ignore lint/suspicious/noArrayIndexKey: a stretch is its place
            key={at}
            title={struck === "link" ? "A link: it is not shown" : "A hidden word: it is not shown"}
            className="text-attention decoration-2"
          >
            {text}
          </s>
        ) : (
          text
        ),
      )}
    </p>
  );
}
