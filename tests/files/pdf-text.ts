import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The words of every page of a PDF as a reader of its own finds them. */
export async function wordsOf(bytes: Uint8Array): Promise<string[]> {
  const task = getDocument({ data: Uint8Array.from(bytes), useSystemFonts: false, verbosity: 0 });
  const document = await task.promise;
  const pages: string[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent();
    pages.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  await task.destroy();
  return pages;
}
