import { useState } from "react";
import { type CommentSettings, PICKED_FEED_ID } from "../../core/comments/comment.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import type { CommentsEdit } from "../api/calls.ts";
import { useDesk } from "../desk/deskContext.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { fieldClass } from "../ui/Labelled.tsx";
import { useTypedOver } from "../ui/useTypedOver.ts";

const box = "min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px]";

/** Where comments come from, what is pasted, and what of them is struck out. */
export function CommentSources({
  settings,
  act,
}: {
  settings: CommentSettings;
  act: (edit: CommentsEdit) => Promise<boolean>;
}) {
  const { feeds } = useDesk("feeds");
  const [pasted, setPasted] = useState("");
  const { source } = settings;
  const save = (change: Partial<CommentSettings>) =>
    void act({ kind: "settings", settings: { ...settings, ...change } });
  const hidden = useTypedOver(settings.hiddenWords.join("\n"), (typed) =>
    save({ hiddenWords: typed.split("\n").flatMap((line) => line.trim().slice(0, 60) || []) }),
  );
  const feed = feeds.find(({ id }) => id === source?.feedId);
  return (
    <>
      <section aria-label={t`Where they come from`} className="flex flex-col gap-3 text-[15px]">
        <h2 className="text-[17px] font-semibold">{t`Where they come from`}</h2>
        <label className="flex items-center gap-2">
          <span className="w-24 text-second">{t`Feed`}</span>
          <select
            value={source?.feedId ?? ""}
            onChange={({ target }) => {
              const chosen = feeds.find(({ id }) => id === target.value);
              save({ source: chosen ? guessColumns(chosen) : null });
            }}
            className={box}
          >
            <option value="">{t`none: only what is pasted`}</option>
            {feeds
              .filter(({ id, columns }) => id !== PICKED_FEED_ID && columns.length > 0)
              .map(({ id, doc }) => (
                <option key={id} value={id}>
                  {doc.name}
                </option>
              ))}
          </select>
        </label>
        {source &&
          feed &&
          (["name", "words", "picture"] as const).map((part) => (
            <label key={part} className="flex items-center gap-2">
              <span className="w-24 text-second">{PARTS[part]}</span>
              <select
                value={source[part]}
                onChange={({ target }) => save({ source: { ...source, [part]: target.value } })}
                className={box}
              >
                {part === "picture" && <option value="">{t`none`}</option>}
                {feed.columns.map((column) => (
                  <option key={column}>{column}</option>
                ))}
              </select>
            </label>
          ))}
        <label className="flex flex-col gap-1">
          <span className="text-second">{t`Pasted: “Name: words”, one on each line`}</span>
          <textarea
            value={pasted}
            rows={2}
            maxLength={200_000}
            onChange={({ target }) => setPasted(target.value)}
            className={`${fieldClass} text-[15px]`}
          />
        </label>
        <button
          type="button"
          disabled={pasted.trim() === ""}
          onClick={() => void act({ kind: "paste", text: pasted }).then((done) => done && setPasted(""))}
          className="min-h-9 w-fit rounded-md bg-lifted px-3 hover:bg-edge disabled:text-quiet"
        >
          {t`Add them`}
        </button>
      </section>
      <section aria-label={t`What is struck out`} className="flex flex-col gap-3 text-[15px]">
        <h2 className="text-[17px] font-semibold">{t`What is struck out`}</h2>
        <CheckBox
          label={t`Links and addresses of mail`}
          isOn={settings.hidesLinks}
          onChange={(hidesLinks) => save({ hidesLinks })}
        />
        <label className="flex flex-col gap-1">
          <span className="text-second">{t`Hidden words, one on each line; “lamp*” is all that begins so`}</span>
          <textarea {...hidden} rows={4} className={`${fieldClass} text-[15px]`} />
        </label>
      </section>
    </>
  );
}

const PARTS = { name: t`Who wrote`, words: t`What`, picture: t`Picture` } as const;

/** The columns that are most likely meant. */
function guessColumns({ id, columns, kinds }: FeedView): CommentSettings["source"] {
  const like = (pattern: RegExp) => columns.find((column) => pattern.test(column));
  const [first = "", second = first] = columns;
  return {
    feedId: id,
    name: like(/name|from|who|author/i) ?? first,
    words: like(/word|text|comment|message|what/i) ?? second,
    picture: columns.find((column) => kinds[column] === "picture") ?? like(/picture|image|photo/i) ?? "",
  };
}
