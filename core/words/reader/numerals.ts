/** Numbers that are written as words, by language, 1 to 10; cardinal and ordinal. */
const SPELT = `
one first uno una primer primero primera um uma primeiro primeira un une premier première eins erste erster erstes ein eine primo prima uno een eerste ett första en første jeden pierwsza pierwszy первый перший الأول الأولى ראשון
two second dos segundo segunda dois duas deux deuxième seconde zwei zweite zweiter zweites due secondo seconda twee tweede två andra to anden andre dwa druga drugi второй другий الثاني الثانية שני
three third tres tercer tercero tercera três terceiro terceira trois troisième drei dritte dritter drittes tre terzo terza drie derde tredje trzy trzecia trzeci третий третій الثالث الثالثة שלישי
four fourth cuatro cuarto cuarta quatro quarto quarta quatre quatrième vier vierte vierter viertes quattro vierde fyra fjärde fire fjerde cztery czwarta czwarty четвёртый четвертий الرابع الرابعة רביעי
five fifth cinco quinto quinta cinq cinquième fünf fünfte fünfter fünftes cinque vijf vijfde fem femte pięć piąta piąty пятый الخامس الخامسة חמישי
six sixth seis sexto sexta sixième sechs sechste sechster sei sesto sesta zes zesde sex sjätte seks sjette sześć szósta
seven seventh siete séptima sete sétima sept septième sieben siebte siebter sette settima zeven sju sjunde syv siedem
eight eighth ocho octava oito oitava huit huitième acht achte achter otto ottava åtta otte osiem
nine ninth nueve novena nove nona neuf neuvième neun neunte neunter nono negen nio ni dziewięć
ten tenth diez décima dez dix dixième zehn zehnte zehnter dieci decima tien tio ti dziesięć
`;

const BY_WORD = new Map(
  SPELT.trim()
    .split("\n")
    .flatMap((row, at) => row.split(" ").map((word) => [word, at + 1] as const)),
);
const CHINESE = "〇一二三四五六七八九十";
const ROMAN = /^(?:x{0,2})(?:ix|iv|v?i{0,3})$/i;
const ROMAN_VALUE: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10 };
const ARABIC_DIGITS = /[\u0660-\u0669\u06f0-\u06f9\u0966-\u096f\uff10-\uff19]/g;
/** Letters that count, with their mark: "א׳" to "ט׳". */
const HEBREW = /^[\u05d0-\u05d8]['’׳]$/u;
const CIRCLED = /^[\u2460-\u2473]$/u;

/** A number below 1000 however it is written: "2", "II", "two", "second", "二", "٢", "②", "ב׳"; undefined when it is none. */
export function readNumber(text: string): number | undefined {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(ARABIC_DIGITS, (digit) => String((digit.codePointAt(0) as number) & 0xf));
  const digits = digitsOf(plain, text);
  if (/^\d{1,3}$/.test(digits)) return Number(digits);
  const word = BY_WORD.get(plain);
  if (word !== undefined) return word;
  if (CIRCLED.test(plain)) return (plain.codePointAt(0) as number) - 0x245f;
  if (plain !== "" && ROMAN.test(plain)) return readRoman(plain);
  if (/^[一二三四五六七八九十]{1,3}$/u.test(plain)) return readChinese(plain);
  if (HEBREW.test(plain)) return plain.charCodeAt(0) - 0x5cf;
  return undefined;
}

/** Devanagari and full-width digits have other low bits than ASCII ones. */
function digitsOf(plain: string, text: string): string {
  return /[\u0966-\u096f\uff10-\uff19]/.test(text)
    ? text
        .trim()
        .replace(/[\u0966-\u096f]/g, (d) => String((d.codePointAt(0) as number) - 0x966))
        .replace(/[\uff10-\uff19]/g, (d) => String((d.codePointAt(0) as number) - 0xff10))
    : plain;
}

function readRoman(text: string): number {
  const values = [...text].map((letter) => ROMAN_VALUE[letter] as number);
  return values.reduce((sum, value, i) => sum + (value < (values[i + 1] ?? 0) ? -value : value), 0);
}

function readChinese(text: string): number {
  const [tens, ones] = text.includes("十") ? text.split("十") : ["", text];
  const digit = (one: string | undefined) => Math.max(0, CHINESE.indexOf(one || "〇"));
  return text.includes("十") ? (tens === "" ? 10 : digit(tens) * 10) + digit(ones) : digit(ones);
}
