declare module "usfm-js" {
  const usfm: { toJSON(text: string): unknown };
  export default usfm;
}
