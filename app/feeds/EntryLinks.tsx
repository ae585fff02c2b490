import { ExternalLink, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import type { EntryLink } from "../../core/feeds/entryLink.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { call } from "../api/call.ts";
import type { Calls } from "../api/calls.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useReachable } from "../desk/useReachable.ts";
import { HereOnly } from "../ui/HereOnly.tsx";
import { HoldButton } from "../ui/HoldButton.tsx";
import { LinkCode } from "../ui/LinkCode.tsx";
import { NewEntryLink } from "./NewEntryLink.tsx";

const button = "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";

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
    <section aria-label="Links for phones" className="flex min-w-0 flex-col gap-3">
      <div className="flex items-center justify-between gap-3">
        <h3 className="text-[16px] font-semibold">Links for phones</h3>
        <button
          type="button"
          className={button}
          aria-pressed={isMaking}
          onClick={() => setIsMaking(!isMaking)}
        >
          <Plus aria-hidden="true" className="size-4" /> New link
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
          None. A link opens the columns that you choose on somebody's phone, and nothing else of the show.
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
  const [code, setCode] = useState("");
  const path = `/table/${token}`;
  const rows = doc.rows === null ? "all rows" : doc.rows.length === 1 ? "1 row" : `${doc.rows.length} rows`;
  return (
    <li aria-label={doc.name} className="flex flex-wrap gap-4 rounded-lg bg-raised p-3 text-[15px]">
      {reached && <LinkCode link={`${reached.origin}${path}`} label={`Code with the link of ${doc.name}`} />}
      <div className="flex min-w-0 flex-1 flex-col gap-2">
        <p>
          <strong>{doc.name}</strong>
          <span className="block text-second">
            {doc.columns.join(", ")}; {rows}
            {doc.mayMove && "; may move them"}
          </span>
        </p>
        <div className="flex flex-wrap gap-2">
          <a className={button} href={path} target="_blank" rel="noopener noreferrer">
            Open here <ExternalLink aria-hidden="true" className="size-4" />
          </a>
          <button
            type="button"
            className={button}
            onClick={() => void onCode().then((answer) => setCode(answer?.code ?? ""))}
          >
            Short code
          </button>
          <HoldButton
            title="Hold for half a second. The phone says that it has ended."
            onHeld={onEnd}
            className={button}
          >
            <Trash2 aria-hidden="true" className="size-4" />
            <span>End</span>
          </HoldButton>
        </div>
        {reached?.isHereOnly && <HereOnly />}
        {code !== "" && (
          <p>
            On the phone open <span className="font-mono">{reached?.origin}/table</span> and type{" "}
            <strong className="font-mono text-[20px] tracking-wider">{code}</strong>
            <span className="block text-second">Good once, for ten minutes.</span>
          </p>
        )}
      </div>
    </li>
  );
}
