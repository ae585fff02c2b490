import { expect, test } from "vitest";
import { searchWords } from "./searchWords.ts";

test("words of spaced scripts are folded words; others are found by any run of their letters", () => {
  expect(searchWords("Lämp’s  Light")).toBe("lamps light");
  expect(searchWords("주의 은혜")).toBe(searchWords("주의  은혜").normalize("NFD"));
  expect(searchWords("耶和華是我的牧者")).toBe("耶 和 華 是 我 的 牧 者");
  expect(searchWords("主 Jesus 愛你")).toBe("主 jesus 愛 你");
  // What is typed of a line lies whole in it, marks on letters left out on both sides.
  const line = searchWords("主はわたしの羊飼い、わたしには何も欠けることがない。");
  for (const typed of ["羊飼い", "わたしの羊", "欠けること", "何も"])
    expect(` ${line} `).toContain(` ${searchWords(typed)} `);
  expect(searchWords("が")).toBe(searchWords("か"));
  expect(searchWords("พระเจ้า").split(" ").length).toBeGreaterThan(2);
});
