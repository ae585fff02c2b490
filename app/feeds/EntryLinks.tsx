import { Plus } from "lucide-react";
import { useState } from "react";
import type { EntryLink } from "../../core/feeds/entryLink.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import type { Calls } from "../api/calls.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useLinkEnd } from "../desk/LinkEnd.tsx";
import { PhoneLinkWays, phoneLinkButton } from "../desk/PhoneLinkWays.tsx";
import { useReachable } from "../desk/useReachable.ts";
import { LinkCode } from "../ui/LinkCode.tsx";
import { NewEntryLink } from "./NewEntryLink.tsx";

/** Links by which somebody with a phone changes some cells of this table, and can do nothing else. */
export function EntryLinks({
  feed,
  links,
  onChanged,
}: {
  feed: FeedView;
  links: readonly { readonly id: string; readonly token: string; readonly doc: EntryLink }[];
  onChanged: () => void;
}) {
  const store = useDeskStore();
  const [isMaking, setIsMaking] = useState(false);
  const act = async (wanted: Calls["/entry-link"]["sends"]) => {
    const answer = await call("/entry-link", wanted);
    if ("problem" in answer) {
      store.say("trouble", answer.problem.sentence);
      return undefined;
    }
    onChanged();
    return answer.value;
  };
  return (
    <section aria-label={t`Links for phones`} className="flex min-w-0 flex-col gap-3">
      <div className="flex items-center justify-between gap-3">
        <h3 className="text-[16px] font-semibold">{t`Links for phones`}</h3>
        <button
          type="button"
          className={phoneLinkButton}
          aria-pressed={isMaking}
          onClick={() => setIsMaking(!isMaking)}
        >
          <Plus aria-hidden="true" className="size-4" /> {t`New link`}
        </button>
      </div>
      {isMaking && (
        <NewEntryLink
          feed={feed}
          onMake={async (link, id) => {
            if (await act({ kind: "make", id, link })) setIsMaking(false);
          }}
        />
      )}
      {links.length === 0 && !isMaking && (
        <p className="text-[15px] text-second">
          {t`None. A link opens the columns that you choose on somebody's phone, and nothing else of the show.`}
        </p>
      )}
      <ul className="flex flex-col gap-3">
        {links.map((link) => (
          <OneLink
            key={link.id}
            {...link}
            onEnd={() => void act({ kind: "end", id: link.id })}
            onCode={() => act({ kind: "code", id: link.id })}
          />
        ))}
      </ul>
    </section>
  );
}

function OneLink({
  token,
  doc,
  onEnd,
  onCode,
}: {
  token: string;
  doc: EntryLink;
  onEnd: () => void;
  onCode: () => Promise<{ readonly code?: string } | undefined>;
}) {
  const reached = useReachable();
  const end = useLinkEnd(doc.untilMs);
  const path = `/table/${token}`;
  const rows =
    doc.rows === null ? t`all rows` : doc.rows.length === 1 ? t`1 row` : t`${doc.rows.length} rows`;
  return (
    <li aria-label={doc.name} className="flex flex-wrap gap-4 rounded-lg bg-raised p-3 text-[15px]">
      {reached && <LinkCode link={`${reached.origin}${path}`} label={t`Code with the link of ${doc.name}`} />}
      <div className="flex min-w-0 flex-1 flex-col gap-2">
        <p>
          <strong>{doc.name}</strong>
          <span className="block text-second">
            {doc.columns.join(", ")}; {rows}
            {doc.mayMove && t`; may move them`}
            {end && `; ${end}`}
          </span>
        </p>
        <PhoneLinkWays
          path={path}
          typedAt="/table"
          onCode={async () => (await onCode())?.code}
          onEnd={onEnd}
        />
      </div>
    </li>
  );
}
