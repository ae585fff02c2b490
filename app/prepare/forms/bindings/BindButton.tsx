import { Plug } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { Link } from "react-router";
import type { Binding, Bindings } from "../../../../core/feeds/binding.ts";
import type { FeedView } from "../../../../core/feeds/feedView.ts";
import { t } from "../../../../core/language/t.ts";
import type { FieldDef } from "../../../../core/scene/fieldSet.ts";
import { useDesk } from "../../../desk/deskContext.ts";
import { makeBinding, takesRows } from "./makeBinding.ts";

/** Binds a field to a feed: one press opens the feeds with their columns, the next one chooses. */
export function BindButton({
  field,
  bindings,
  onBind,
}: {
  field: FieldDef;
  bindings: Bindings;
  onBind: (binding: Binding) => void;
}) {
  const { feeds } = useDesk("feeds");
  const isLikely = (feed: FeedView, column: string) =>
    field.kind === "picture" && feed.kinds[column] === "picture";
  const hasLikely = (feed: FeedView) => feed.columns.some((column) => isLikely(feed, column));
  const likelyFirst = [...feeds.filter(hasLikely), ...feeds.filter((feed) => !hasLikely(feed))];
  const [isOpen, setIsOpen] = useState(false);
  const choose = (binding: Binding) => {
    setIsOpen(false);
    onBind(binding);
  };
  return (
    <Popover.Root open={isOpen} onOpenChange={setIsOpen}>
      <Popover.Trigger
        title={t`Fill it from a feed`}
        className="grid size-8 place-content-center rounded-md text-second hover:bg-lifted hover:text-act"
      >
        <Plug aria-hidden="true" className="size-4" />
        <span className="sr-only">{t`Fill “${field.label}” from a feed`}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          collisionPadding={12}
          className="z-50 max-h-[60vh] w-[380px] max-w-[92vw] overflow-y-auto rounded-lg border border-edge-strong bg-raised p-4 shadow-2xl"
        >
          <h3 className="mb-2 text-[16px] font-semibold">{t`Fill “${field.label}” with`}</h3>
          {feeds.length === 0 && (
            <p className="text-[15px] text-second">
              {t`There are no feeds yet.`}{" "}
              <Link to="/feeds" className="text-act underline underline-offset-2">
                {t`Make one`}
              </Link>
              .
            </p>
          )}
          <ul className="flex flex-col gap-3">
            {likelyFirst.map((feed) => (
              <li key={feed.id}>
                <p className="mb-1 text-[14px] text-second">{feed.doc.name}</p>
                <div className="flex flex-wrap gap-1.5">
                  {takesRows(field.kind) && feed.columns.length > 1 && (
                    <button
                      type="button"
                      onClick={() => choose(makeBinding(field.kind, feed, null, bindings))}
                      className="min-h-9 rounded-md border border-act px-3 text-[15px] text-act hover:bg-act-ground"
                    >
                      {t`its table`}
                    </button>
                  )}
                  {feed.columns.map((column) => (
                    <button
                      key={column}
                      type="button"
                      onClick={() => choose(makeBinding(field.kind, feed, column, bindings))}
                      className={`min-h-9 rounded-md px-3 text-[15px] ${isLikely(feed, column) ? "border border-act text-act hover:bg-act-ground" : "bg-lifted hover:bg-edge"}`}
                    >
                      {column}
                    </button>
                  ))}
                  {feed.columns.length === 0 && (
                    <span className="text-[15px] text-quiet">{t`nothing read yet`}</span>
                  )}
                </div>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
