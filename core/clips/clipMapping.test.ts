import { expect, test } from "vitest";
import { clipSchema } from "./clip.ts";
import { clipMappingSchema, detailsOf, fieldsOfMappings, firstFields, titleOfClip } from "./clipMapping.ts";

const clip = clipSchema.parse({
  id: "a",
  name: "MVI_0021",
  mediaId: "m",
  mappingId: "films",
  elements: { "film/heading": "Лодки у причала", "film/year": "2024" },
});
const films = clipMappingSchema.parse({
  id: "films",
  name: "Films",
  fields: { title: "film/heading", year: "film/year", by: "film/maker" },
});

test("a mapping fills fields from elements; what is not there is empty, and a clip without a mapping has none", () => {
  expect(detailsOf(clip, [films])).toEqual({ title: "Лодки у причала", year: "2024", by: "" });
  expect(detailsOf({ ...clip, mappingId: "" }, [films])).toEqual({});
  expect(detailsOf({ ...clip, mappingId: "gone" }, [films])).toEqual({});
});

test("it is called by its title where a mapping gives it one", () => {
  expect(titleOfClip(clip, [films])).toBe("Лодки у причала");
  expect(titleOfClip({ ...clip, elements: {} }, [films])).toBe("MVI_0021");
});

test("a first mapping has each element by its last name, once", () => {
  expect(
    firstFields({ "film/@id": "1", "film/name": "x", "film/maker/name": "y", "film/Year": "2024" }),
  ).toEqual({ id: "film/@id", name: "film/name", year: "film/Year" });
});

test("fields of several mappings are columns once, and the title is none", () => {
  const other = { ...films, id: "o", fields: { title: "a", year: "b", place: "c" } };
  expect(fieldsOfMappings([films, other])).toEqual(["year", "by", "place"]);
});
