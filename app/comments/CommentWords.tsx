import type { Piece } from "../../core/comments/strikeOut.ts";
import { t } from "../../core/language/t.ts";

/** What somebody wrote, with what will not be shown struck out. */
export function CommentWords({ pieces }: { pieces: readonly Piece[] }) {
  return (
    <>
      {pieces.map(({ text, struck }, at) =>
        struck ? (
          <s
            // biome-ignore lint/suspicious/noArrayIndexKey: a stretch is its place
            key={at}
            title={struck === "link" ? t`A link: it is not shown` : t`A hidden word: it is not shown`}
            className="text-attention decoration-2"
          >
            {text}
          </s>
        ) : (
          text
        ),
      )}
    </>
  );
}
