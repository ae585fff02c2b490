import { useEffect } from "react";
import { useFetcher } from "react-router";
import { t } from "../../core/language/t.ts";
import { LIBRARY_PATH, type LibraryData } from "../api/loaded.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";

/** A picture or a clip of the library, by its name. */
export function SourceMediaSelect({
  id,
  mediaId,
  onChoose,
}: {
  id: string;
  mediaId: string;
  onChoose: (mediaId: string) => void;
}) {
  const { load, data } = useFetcher<LibraryData>();
  useEffect(() => {
    void load(LIBRARY_PATH);
  }, [load]);
  const items = (data?.items ?? []).filter(({ info }) => info.type !== "sound");
  return (
    <Labelled id={id} label={t`It shows`}>
      <select
        id={id}
        value={items.some((item) => item.id === mediaId) ? mediaId : ""}
        onChange={({ target }) => target.value !== "" && onChoose(target.value)}
        className={`${fieldClass} min-h-[42px]`}
      >
        <option value="">{items.length === 0 ? t`nothing in Material yet` : t`choose one`}</option>
        {items.map((item) => (
          <option key={item.id} value={item.id}>
            {item.info.name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
