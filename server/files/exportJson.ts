import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { documentTables, upcast, versions, type DocumentTable } from '#core/contract';
import type { OpenDb } from '../db/index.ts';
import { exportVersion, type Manifest } from './format.ts';

type Sqlite = OpenDb['sqlite'];

/** Rows put into one text by the database: a call for each row would cost more than the row. */
const chunk = 4000;
const eventJson = `'{"id":' || json_quote(id) || ',"type":' || json_quote(type) || ',"subjects":' || subjects || ',"instant":' || json_quote(instant) || ',"device":' || json_quote(device) || ',"counter":' || counter || ',"version":' || version || ',"data":' || data || ',"receivedAt":' || json_quote(received_at) || '}'`;
const editJson = `json_object('table', table_name, 'id', id, 'edited', json(edited))`;

/** All rows of a table as JSON texts, some thousands at a time, one row a line. */
function* rows(sqlite: Sqlite, table: string, json: string, where = 'true'): Generator<string> {
  const { n } = sqlite.prepare(`select coalesce(max(rowid), 0) as n from ${table}`).get() as { n: number };
  const read = sqlite.prepare(
    `select group_concat(${json}, ',' || char(10)) as list from ${table} where rowid > ? and rowid <= ? and ${where}`,
  );
  for (let from = 0; from < n; from += chunk) {
    const { list } = read.get(from, from + chunk) as { list: string | null };
    if (list !== null) yield list;
  }
}

/** Documents of older versions, brought up to today's shape: a reader of the file needs to know one only. */
function* older(sqlite: Sqlite, table: DocumentTable): Generator<string> {
  const found = sqlite.prepare(`select data, version from ${table} where deleted = 0 and version < ${versions[table]} order by rowid`);
  for (const r of found.all() as { data: string; version: number }[]) yield JSON.stringify(upcast(table, r.version, JSON.parse(r.data)));
}

/** All entries; those of older versions first, likewise. */
function* allEvents(sqlite: Sqlite): Generator<string> {
  const found = sqlite.prepare(`select ${eventJson} as json, version from event where version < ${versions.event} order by rowid`);
  for (const r of found.iterate() as Iterable<{ json: string; version: number }>)
    yield JSON.stringify({ ...(upcast('event', r.version, JSON.parse(r.json)) as object), version: versions.event });
  yield* rows(sqlite, 'event', eventJson, `version = ${versions.event}`);
}

/**
 * Writes everything a household has said as one JSON document (docs/formats.md, docs/export.schema.json), one row a line.
 * @param out ended when all is written
 */
export async function writeExport(
  sqlite: Sqlite,
  out: Writable,
  facts: Pick<Manifest, 'madeAt' | 'storeId'>,
  tell: (share: number) => void,
): Promise<void> {
  const put = async (text: string): Promise<void> => {
    if (!out.write(text)) await once(out, 'drain');
  };
  await put(
    `{"format":"tambo-export","version":${exportVersion},"madeAt":${JSON.stringify(facts.madeAt)},"storeId":${JSON.stringify(facts.storeId)},\n"documents":{`,
  );
  const list = async (parts: Iterable<string>, after?: () => void): Promise<void> => {
    let first = true;
    for (const part of parts) {
      await put((first ? '' : ',\n') + part);
      first = false;
      after?.();
    }
  };
  for (const [i, table] of documentTables.entries()) {
    await put(`${i > 0 ? ',' : ''}\n${JSON.stringify(table)}:[`);
    await list([...older(sqlite, table), ...rows(sqlite, table, 'data', `deleted = 0 and version = ${versions[table]}`)]);
    await put(']');
  }
  await put('},\n"referenceEdits":[');
  await list(rows(sqlite, 'ref_row', editJson, 'edited is not null'));
  await put('],\n"events":[\n');
  const { n } = sqlite.prepare('select count(*) as n from event').get() as { n: number };
  let written = 0;
  await list(allEvents(sqlite), () => {
    written += chunk;
    tell(Math.min(1, written / Math.max(1, n)));
  });
  await put('\n]}\n');
  out.end();
}
