/** What only a disk or a hash of Node can give, for tests of core: fonts, files of scripture, names of contents. */
export { readScriptureFile } from "../server/files/readScriptureFile.ts";
export * from "../server/files/scriptureFile.ts";
export { loadShaper } from "../server/fonts/shippedFonts.ts";
export { hashOf } from "../server/store/contentStore.ts";
