import { useEffect, useRef } from "react";
import { useSearchParams } from "react-router";
import { notShown } from "../../../core/design/edit/fields.ts";
import type { FieldDef, FieldSet } from "../../../core/scene/fieldSet.ts";
import type { Template } from "../../../core/scene/template.ts";

/** A field that the room was opened for, because nothing in the template shows it: an object for it is added, once. */
export function useFieldToShow(set: FieldSet, template: Template, show: (field: FieldDef) => void): void {
  const [asked, setAsked] = useSearchParams();
  const wanted = asked.get("show");
  const isAsked = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is asked for when the room opens, and once
  useEffect(() => {
    if (wanted === null || isAsked.current) return;
    isAsked.current = true;
    const field = notShown(template, set).find(({ name }) => name === wanted);
    if (field) show(field);
    setAsked(
      (params) => {
        params.delete("show");
        return params;
      },
      { replace: true },
    );
  }, [wanted]);
}
