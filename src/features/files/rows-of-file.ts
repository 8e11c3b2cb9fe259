/** Rows of cells of a CSV or text file; what stands between them is found by what divides the lines most evenly. */
export async function rowsOfFile(file: File): Promise<string[][]> {
  const { parse } = (await import('papaparse')).default;
  const text = new TextDecoder(undefined).decode(await file.arrayBuffer()).replace(/^\uFEFF/, '');
  return parse<string[]>(text, { skipEmptyLines: false, delimitersToGuess: [';', '\t', ',', '|'] })
    .data;
}
