import { Search } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { LibraryItem } from "../api/loaded.ts";
import { foldersOf, type LibrarySearch, tagsOf } from "./librarySearch.ts";

const TYPES: readonly { readonly type: LibrarySearch["type"]; readonly words: string }[] = [
  { type: "all", words: t`All` },
  { type: "picture", words: t`Pictures` },
  { type: "video", words: t`Clips` },
  { type: "sound", words: t`Sounds` },
];
const chip =
  "min-h-9 rounded-full bg-lifted px-3.5 text-[15px] text-second hover:text-paper aria-pressed:bg-paper aria-pressed:font-semibold aria-pressed:text-ground";

/** What of the library is shown: by words, kind, folder and tag. */
export function LibraryFilters({
  items,
  search,
  onChange,
}: {
  items: readonly LibraryItem[];
  search: LibrarySearch;
  onChange: (search: LibrarySearch) => void;
}) {
  const folders = foldersOf(items);
  const tags = tagsOf(items);
  const change = (part: Partial<LibrarySearch>) => onChange({ ...search, ...part });
  return (
    <div className="mb-4 flex flex-wrap items-center gap-2">
      <label className="flex min-h-10 min-w-[180px] flex-1 items-center gap-2 rounded-lg border border-edge-strong bg-ground px-3 focus-within:border-act">
        <Search aria-hidden="true" className="size-4.5 text-second" />
        <span className="sr-only">{t`Search the library`}</span>
        <input
          type="search"
          value={search.typed}
          placeholder={t`Name, folder or tag`}
          onChange={({ target }) => change({ typed: target.value })}
          className="min-w-0 flex-1 bg-transparent text-[15px] outline-none placeholder:text-quiet"
        />
      </label>
      {folders.length > 0 && (
        <select
          aria-label={t`Folder`}
          value={search.folder ?? ""}
          onChange={({ target }) => change({ folder: target.value || null })}
          className="min-h-9 max-w-[190px] rounded-md border border-edge-strong bg-ground px-2 text-[15px]"
        >
          <option value="">{t`in every folder`}</option>
          {folders.map((folder) => (
            <option key={folder} value={folder}>
              {folder}
            </option>
          ))}
        </select>
      )}
      {tags.length > 0 && (
        <select
          aria-label={t`Tag`}
          value={search.tag ?? ""}
          onChange={({ target }) => change({ tag: target.value || null })}
          className="min-h-9 max-w-[160px] rounded-md border border-edge-strong bg-ground px-2 text-[15px]"
        >
          <option value="">{t`any tag`}</option>
          {tags.map((tag) => (
            <option key={tag} value={tag}>
              {tag}
            </option>
          ))}
        </select>
      )}
      <div className="flex basis-full flex-wrap gap-2">
        {TYPES.map(({ type, words }) => (
          <button
            key={type}
            type="button"
            aria-pressed={search.type === type}
            onClick={() => change({ type })}
            className={chip}
          >
            {words}
          </button>
        ))}
        <button
          type="button"
          aria-pressed={search.isUnusedOnly}
          onClick={() => change({ isUnusedOnly: !search.isUnusedOnly })}
          className={chip}
        >
          {t`Not used`}
        </button>
      </div>
    </div>
  );
}
