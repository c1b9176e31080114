import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { curtainUp } from '../demo/curtainUp';
import { NO_PRICING } from '../model/pricing';
import { clientSheet, sheetPage, sheetText } from '../plan/clientSheet';
import { planSet } from '../plan/planSet';
import { QUICK } from '../testing/sets';
import { priceOf } from '../stock/price';
import { offeredOf, quoteOf, quoteText } from '../stock/quote';
import { pagePdf } from './pagePdf';

/** What another library reads in a PDF, page by page; in a process of its own, since it is written as modules. */
function read(bytes: Uint8Array): { pages: number; text: string; title: string } {
  const file = join(mkdtempSync(join(tmpdir(), 'lacquer-')), 'quote.pdf');
  writeFileSync(file, bytes);
  const script = `
    const { extractText, getDocumentProxy, getMeta } = await import('unpdf');
    const { readFileSync } = await import('node:fs');
    const pdf = await getDocumentProxy(new Uint8Array(readFileSync(process.argv[1])));
    const { totalPages, text } = await extractText(pdf, { mergePages: true });
    const { info } = await getMeta(pdf);
    console.log(JSON.stringify({ pages: totalPages, text, title: info.Title }));`;
  const out = spawnSync(process.execPath, ['--input-type=module', '-e', script, file], { encoding: 'utf8' });
  if (out.status !== 0) throw new Error(out.stderr);
  return JSON.parse(out.stdout) as ReturnType<typeof read>;
}

const set = { ...curtainUp(), appointment: { on: '2026-12-04', at: '19:30' } };
const pricing = { ...NO_PRICING, rate_cents: 4200, tax_percent: 20, to_cents: 50, deposit: 0.3 };
const asked = { price: priceOf(pricing, 6000, 540), pricing, half_s: 6000, nine_s: 7300, on: '2026-11-30' };
const quote = quoteOf(set, asked);

describe('a quote', () => {
  it('says when, how long, what it costs, what is paid ahead, and every look that is worn', () => {
    const text = quoteText(quote);
    // 42.00 an hour for 100 minutes are 70.00; with 5.40 of material and 20 % tax 90.48, asked 90.50.
    expect(text).toContain('Price: €90.50');
    expect(text).toContain('Paid ahead: €27.00');
    expect(text).toContain('How long: about 1 h 40 min, 2 h 5 min at most nine times of ten');
    expect(text).toContain('When: Fri 4 Dec 2026, 19:30');
    for (const { id, name } of set.looks)
      expect(text.includes(name)).toBe(Object.values(set.nails).some(({ look }) => look === id));
    expect(text).toContain('€15.08 tax at 20 %');
    expect(offeredOf(quote, asked)).toMatchObject({ total_cents: 9050, deposit_cents: 2700, says: text });
  });

  it('names no price where nobody has said what an hour is', () => {
    const unsaid = { ...pricing, rate_cents: null };
    const text = quoteText(quoteOf(set, { ...asked, pricing: unsaid, price: priceOf(unsaid, 6000, 540) }));
    expect(text).toContain('Price: still to be said');
  });

  it('as PDF is read back by another library, word for word, on one page', async () => {
    const page = { ...quote, list_words: 'Included', list: quote.included };
    const { pages, text, title } = read(await pagePdf(page));
    expect([pages, title]).toEqual([1, set.title]);
    for (const { says } of quote.facts) expect(text.replace(/\s+/g, ' ')).toContain(says);
    for (const line of [...quote.included, ...quote.small]) expect(text.replace(/\s+/g, ' ')).toContain(line);
  });

  it('of what the client takes home says care, when to come again and what was used', async () => {
    const plan = planSet(set, QUICK);
    const page = sheetPage(clientSheet(set, plan, '2026-12-04'), '2026-12-04', ['Base A', 'Velvet 04']);
    const text = sheetText(page);
    expect(text).toContain('Made on: 4 Dec 2026');
    expect(text).toMatch(/Come again: .* to .* 2026, for an infill|Come again: .* to .* 2027, for/);
    expect(text).toContain('What was used: Base A, Velvet 04.');
    const read_back = read(await pagePdf(page)).text.replace(/\s+/g, ' ');
    for (const line of [...page.list, ...page.small]) expect(read_back).toContain(line);
  });

  it('that is long goes on to a second page, and signs no font has are marked', async () => {
    const list = Array.from({ length: 30 }, (_, i) => `Line ${i + 1} 爪`);
    const { pages, text } = read(await pagePdf({ ...quote, list_words: 'Included', list }));
    expect(pages).toBe(2);
    expect(text).toContain('Line 30 ?');
  });
});
