/**
 * How many letters must be put in, taken out, changed or swapped with their neighbour to make one word of another
 * (the distance of Damerau and Levenshtein, adjacent letters swapped once).
 */
export function editSteps(a: string, b: string): number {
  const rows: number[][] = [Array.from({ length: b.length + 1 }, (_, i) => i)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    const above = rows[i - 1] as number[];
    for (let j = 1; j <= b.length; j++) {
      const isSame = a[i - 1] === b[j - 1];
      let least = Math.min(
        (above[j] as number) + 1,
        (row[j - 1] as number) + 1,
        (above[j - 1] as number) + Number(!isSame),
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, ((rows[i - 2] as number[])[j - 2] as number) + 1);
      row.push(least);
    }
    rows.push(row);
  }
  return (rows[a.length] as number[])[b.length] as number;
}
