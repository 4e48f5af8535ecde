import { DAYS_AT_ONCE, type DaysInput, type DaysStored, KeptReading } from '@sabor/contract/day-import';
import { DAY_COLUMNS, type DayColumn, tellsDate, withColumn } from '@sabor/core/spreadsheet/columns';
import { type KnownToRows, USUAL_READING } from '@sabor/core/spreadsheet/read-days';
import type { dateOrderOf } from '@sabor/core/time/read-moment';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import * as v from 'valibot';
import { queryClient, useDayImports, useRoutines, useShelf, useWearers } from '../../api/queries.ts';
import { post, put } from '../../http/http.ts';
import { Button, ButtonLink } from '../../ui/button.tsx';
import { FileField } from '../../ui/file-field.tsx';
import { ColumnsTable, counted, PartsBar } from '../../ui/file-rows.tsx';
import { InlineChoice } from '../../ui/inline-choice.tsx';
import { useParts } from '../../ui/parts.ts';
import { Failed, Heading, Loading, Nothing } from '../../ui/states.tsx';
import { useSay } from '../../ui/undo.tsx';
import { openWashDayFile } from '../../workers/wash-day-file.ts';
import type { WashDayFile } from '../../workers/wash-day-file.worker.ts';
import { ImportChoices } from './import-choices.tsx';
import { ImportRead } from './import-read.tsx';
import { ImportsBefore } from './imports-before.tsx';

type Held = ReturnType<typeof openWashDayFile>;
type Opened = Awaited<ReturnType<WashDayFile['open']>> & { name: string };
type Sheet = ReturnType<WashDayFile['sheet']>;
export type Read = ReturnType<WashDayFile['read']>;

/** Old wash days from a tester's own spreadsheet: columns named, rows read and told one by one, then stored in parts. */
export function WashDaysImportScreen() {
  const wearers = useWearers();
  const routines = useRoutines();
  const shelf = useShelf();
  const imports = useDayImports();
  const failed = [wearers, routines, shelf, imports].find(({ isLoadingError }) => isLoadingError);
  if (failed) return <Failed error={failed.error!} retry={failed.refetch} />;
  if (!wearers.data || !routines.data || !shelf.data || !imports.data)
    return <Loading what="heads, routines and the shelf" />;
  const heads = wearers.data.filter(({ archivedAt }) => archivedAt === null);
  if (heads.length === 0)
    return (
      <Nothing title="Whose hair was washed?" action={<ButtonLink to="/heads/new">Add a wearer</ButtonLink>}>
        Wash days belong to a head. Add one first; a name is enough.
      </Nothing>
    );
  const lines = new Map(shelf.data.lines.map(({ id, name }) => [id, name]));
  const known: KnownToRows = {
    heads: heads.map(({ id, name, timeZone }) => ({ id, name, timeZone })),
    routines: routines.data
      .filter(({ archivedAt }) => archivedAt === null)
      .map(({ id, name, steps }) => ({ id, name, steps: steps.map(({ id: _, ...step }) => step) })),
    products: shelf.data.products.map(({ id, name, lineId, roles }) => ({
      id,
      name,
      line: lineId === null ? null : (lines.get(lineId) ?? null),
      roles,
    })),
  };
  return (
    <>
      <Heading
        kicker="Wash days"
        title="Import wash days"
        actions={<ButtonLink to="/wash-days">Back to the wash days</ButtonLink>}
      >
        Your own spreadsheet, CSV or XLSX, one wash day a row under headings; or a calendar’s file. Each comes
        in as a wash day by itself, entered later: it counts in history and build-up, never in a trial.
      </Heading>
      <FromSpreadsheet known={known} imports={imports.data} />
      <ImportsBefore imports={imports.data} />
    </>
  );
}

function FromSpreadsheet({
  known,
  imports,
}: {
  known: KnownToRows;
  imports: NonNullable<ReturnType<typeof useDayImports>['data']>;
}) {
  const say = useSay();
  const held = useRef<Held | null>(null);
  const id = useRef(v7());
  const [opened, setOpened] = useState<Opened | null>(null);
  const [sheetAt, setSheetAt] = useState(0);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const [reading, setReading] = useState<KeptReading | null>(null);
  const [knownBefore, setKnownBefore] = useState(false);
  const [dates, setDates] = useState<ReturnType<typeof dateOrderOf>>(null);
  const [read, setRead] = useState<Read | null>(null);
  const [refused, setRefused] = useState<DaysStored['refused']>([]);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  useEffect(() => () => held.current?.close(), []);

  const parts = useParts(read?.taken ?? 0, DAYS_AT_ONCE, async (from, count) => {
    const days = await held.current!.file.part(from, count);
    const answer = await put<DaysStored>(`/day-imports/${id.current}`, {
      fileName: opened!.name.slice(0, 255),
      headings: sheet!.header,
      reading: reading!,
      days,
    } satisfies Omit<DaysInput, 'id'>);
    setRefused((old) => [...old, ...answer.refused]);
    return answer;
  });
  const anew = () => {
    setRead(null);
    setRefused([]);
    id.current = v7();
    parts.reset();
  };
  const use = async (next: KeptReading) => {
    setReading(next);
    const found = await held.current!.file.order(next.columns);
    setDates(found);
    // What the file's own dates tell is not asked.
    if (found === 'dmy' || found === 'mdy') setReading({ ...next, order: found });
  };
  const take = async (n: number) => {
    const found = await held.current!.file.sheet(n);
    const before = imports.find(({ headings }) => JSON.stringify(headings) === JSON.stringify(found.header));
    setSheetAt(n);
    setSheet(found);
    setKnownBefore(before !== undefined);
    const still = (list: readonly { id: string }[], one: string | null) =>
      list.some((thing) => thing.id === one) ? one : null;
    await use({
      ...USUAL_READING,
      columns: found.columns,
      scale: found.scale,
      ...before?.reading,
      headId:
        still(known.heads, before?.reading.headId ?? null) ??
        (known.heads.length === 1 ? known.heads[0]!.id : null),
      routineId: still(known.routines, before?.reading.routineId ?? null),
      meant: Object.fromEntries(
        Object.entries(before?.reading.meant ?? {}).filter(([, product]) => still(known.products, product)),
      ),
    });
  };
  const choose = async (file: File) => {
    held.current?.close();
    const next = openWashDayFile();
    held.current = next;
    setError(undefined);
    setOpened(null);
    setSheet(null);
    setReading(null);
    anew();
    setBusy(true);
    try {
      const first = await next.file.open(file);
      if (held.current !== next) return;
      const at = first.sheets.findIndex(({ rows }) => rows > 0);
      if (at < 0) setError('This file holds no rows under its headings. Choose one with a wash day a row.');
      else {
        setOpened({ ...first, name: file.name });
        await take(at);
      }
    } catch (problem) {
      if (held.current === next) setError((problem as Error).message);
    }
    if (held.current === next) setBusy(false);
  };
  const readAll = async (by: KeptReading) => {
    setBusy(true);
    setError(undefined);
    try {
      setRead(await held.current!.file.read(by, known));
    } catch (problem) {
      setError((problem as Error).message);
    }
    setBusy(false);
  };
  const change = (to: Partial<KeptReading>) => {
    anew();
    void use({ ...reading!, ...to });
  };
  const undo = async () => {
    try {
      await post(`/day-imports/${id.current}/take-back`, {});
      say('Those wash days are out again.');
      anew();
      void queryClient.invalidateQueries();
    } catch (problem) {
      say((problem as Error).message);
    }
  };
  // What is wrong in a field is not left to every row to say.
  const wrong = reading && v.safeParse(KeptReading, reading).issues?.[0].message;
  const missing =
    wrong ??
    (reading && !tellsDate(reading.columns)
      ? 'Say which column holds the date.'
      : reading && reading.headId === null && !reading.columns.includes('head')
        ? 'Say whose wash days these are.'
        : dates === 'either' && reading?.order === null
          ? 'Say whether its dates put the day or the month first.'
          : null);
  return (
    <>
      <FileField
        label="Spreadsheet or calendar file"
        error={error}
        accept=".csv,.tsv,.txt,.xlsx,.xlsm,.ics,text/csv,text/plain,text/calendar"
        disabled={busy || parts.state === 'storing'}
        onChoose={(file) => void choose(file)}
      />
      {opened && sheet && reading && (
        <div className="mt-5 space-y-5">
          <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
            {opened.sheets.length > 1 && (
              <InlineChoice
                label="Sheet"
                value={String(sheetAt)}
                onChange={(n) => {
                  anew();
                  void take(Number(n));
                }}
                options={opened.sheets.map(
                  ({ name, rows }, n) => [String(n), `${name} (${counted(rows, 'row', 'rows')})`] as const,
                )}
              />
            )}
            <p>
              {counted(sheet.rows, 'row', 'rows')}.{' '}
              {knownBefore && 'Read as the last file with these headings was.'}{' '}
              {opened.macros && 'Its macros were left alone; formulas count as what they last came to.'}
            </p>
          </div>
          <ColumnsTable<DayColumn>
            header={sheet.header}
            sample={sheet.sample}
            columns={reading.columns}
            options={DAY_COLUMNS}
            change={(at, kind) => change({ columns: withColumn(reading.columns, at, kind) })}
          />
          <ImportChoices reading={reading} known={known} dates={dates} change={change} />
          {missing ? (
            <p role="status" className="font-semibold text-mango-deep">
              {missing}
            </p>
          ) : (
            !read && (
              <Button disabled={busy} onClick={() => void readAll(reading)}>
                Read {counted(sheet.rows, 'row', 'rows')}
              </Button>
            )
          )}
        </div>
      )}
      {busy && <p role="status">Reading …</p>}
      {read && reading && (
        <ImportRead
          read={read}
          known={known}
          refused={refused}
          meant={reading.meant}
          mean={(meant) => {
            const next = { ...reading, meant };
            anew();
            setReading(next);
            void readAll(next);
          }}
          csv={() => held.current!.file.report(refused)}
        >
          {parts.state === 'waiting' && read.taken > 0 && (
            <Button look="main" onClick={() => void parts.run()}>
              Store {counted(read.taken, 'wash day', 'wash days')}
            </Button>
          )}
          {parts.state !== 'waiting' && (
            <PartsBar
              total={read.taken}
              parts={parts}
              others={
                refused.length > 0
                  ? 'the others were there already or are told row by row'
                  : 'the others were there already and stay as they were'
              }
              undo={() => void undo()}
            >
              <ButtonLink look="main" to="/wash-days">
                To the wash days
              </ButtonLink>
            </PartsBar>
          )}
        </ImportRead>
      )}
    </>
  );
}
