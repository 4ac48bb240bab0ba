import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { documentTables } from '#core/contract';
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
  let first = true;
  for (let from = 0; from < n; from += chunk) {
    const { list } = read.get(from, from + chunk) as { list: string | null };
    if (list === null) continue;
    yield (first ? '' : ',\n') + list;
    first = false;
  }
}

/**
 * Writes everything a household has said as one JSON document (docs/formats.md, docs/export.schema.json), one row a line.
 * @returns bytes written
 */
export async function writeExport(
  sqlite: Sqlite,
  file: string,
  facts: Pick<Manifest, 'madeAt' | 'storeId'>,
  tell: (share: number) => void,
): Promise<number> {
  const out = createWriteStream(file);
  let bytes = 0;
  const put = async (text: string): Promise<void> => {
    bytes += Buffer.byteLength(text);
    if (!out.write(text)) await once(out, 'drain');
  };
  await put(
    `{"format":"tambo-export","version":${exportVersion},"madeAt":${JSON.stringify(facts.madeAt)},"storeId":${JSON.stringify(facts.storeId)},\n"documents":{`,
  );
  for (const [i, table] of documentTables.entries()) {
    await put(`${i > 0 ? ',' : ''}\n${JSON.stringify(table)}:[`);
    for (const part of rows(sqlite, table, 'data', 'deleted = 0')) await put(part);
    await put(']');
  }
  await put('},\n"referenceEdits":[');
  for (const part of rows(sqlite, 'ref_row', editJson, 'edited is not null')) await put(part);
  await put('],\n"events":[\n');
  const { n } = sqlite.prepare('select count(*) as n from event').get() as { n: number };
  let written = 0;
  for (const part of rows(sqlite, 'event', eventJson)) {
    await put(part);
    written += chunk;
    tell(Math.min(1, written / Math.max(1, n)));
  }
  await put('\n]}\n');
  out.end();
  await once(out, 'close');
  return bytes;
}
