import type Database from 'better-sqlite3';
import { keptUntilWritten } from '../db/keptUntilWritten';
import { workshop } from './workshop';

/** So old may be what a page says of the time. */
const KEPT_MS = 1000;
const MOST_PAGES = 30;
/** Pages of records alone: what stands in them changes with the time, and when something is written. */
const OF_RECORDS = /^\/(?:|(?:plans|log)(?:\/[\w-]+)?|bench|molds|shelf)$/;
/** What a page is drawn by besides its address. */
const DRAWN_BY = ['host', 'cookie', 'accept-language', 'x-tallow-device'];

interface Page {
  headers: [string, string][];
  /** As it goes over the wire. */
  html: ArrayBuffer;
}

/** By what they were asked with, the oldest first. Null where the answer was no page. */
type Pages = Map<string, { askedMs: number; page: Promise<Page | null> }>;

/** The pages since the last write, of each database. */
const KEPT = new WeakMap<Database.Database, () => Pages>();

/**
 * Answers a page as it was rendered a moment ago where nothing was written since: many screens that ask at one time need
 * one rendering. Any page is answered when it is whole: one that fails half way would never end.
 *
 * @throws what `render` throws, or Problem when the workshop can't be read
 */
export async function pageOnce(request: Request, render: () => Promise<Response>): Promise<Response> {
  const url = new URL(request.url);
  if (request.method !== 'GET' || !OF_RECORDS.test(url.pathname)) return whole(await render());
  const pages = pagesOf(workshop().db);
  const key = [url.href, ...DRAWN_BY.map((name) => request.headers.get(name))].join('\n');
  const before = pages.get(key);
  if (before && Math.abs(Date.now() - before.askedMs) < KEPT_MS) {
    const page = await before.page.catch(() => null);
    return page ? answered(page) : whole(await render());
  }
  const rendered = render();
  const asked = { askedMs: Date.now(), page: rendered.then(wholePage) };
  pages.delete(key);
  pages.set(key, asked);
  const [oldest] = pages.keys();
  if (pages.size > MOST_PAGES && oldest !== undefined) pages.delete(oldest);
  const page = await asked.page;
  return page ? answered(page) : rendered;
}

async function whole(response: Response): Promise<Response> {
  if (!response.headers.get('content-type')?.startsWith('text/html')) return response;
  return new Response(await response.arrayBuffer(), response);
}

async function wholePage(response: Response): Promise<Page | null> {
  if (response.status !== 200) return null;
  return { headers: [...response.headers], html: await response.arrayBuffer() };
}

function answered({ headers, html }: Page): Response {
  return new Response(html, { headers });
}

function pagesOf(db: Database.Database): Pages {
  const pages = KEPT.get(db) ?? keptUntilWritten<Pages>(db, () => new Map());
  KEPT.set(db, pages);
  return pages();
}
