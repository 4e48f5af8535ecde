import { localToday } from '@sabor/core/time/today';
import { disclosureOn } from '@sabor/words/report/trial-report';
import { verdictReport } from '@sabor/words/report/verdict-report';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useShelf } from '../../api/queries.ts';
import { nameOfThing } from '../../api/things.ts';
import { useVerdicts } from '../../api/verdicts.ts';
import { Failed, Loading } from '../../ui/states.tsx';
import { ReportDesk } from './desk.tsx';
import { called, type Names } from './names.ts';

/** What leaves the house of a verdict. */
export function VerdictReportScreen() {
  const { id } = useParams();
  const verdicts = useVerdicts();
  const shelf = useShelf();
  const [names, setNames] = useState<Names>('first');
  const verdict = verdicts.data?.find((known) => known.id === id);
  const products = shelf.data?.products;
  const lines = shelf.data?.lines;
  const report = useMemo(() => {
    if (!verdict || !products) return null;
    const { subject } = verdict;
    const of =
      subject.kind === 'product'
        ? [subject.productId]
        : products.flatMap((one) => (subject.kind === 'line' && one.lineId === subject.lineId ? one.id : []));
    return verdictReport({
      verdict,
      who: called(verdict.wearerName, names),
      nameOf: nameOfThing({ products, lines: lines ?? [] }),
      disclosure: disclosureOn(of, products),
      today: localToday(),
    });
  }, [verdict, products, lines, names]);
  const failed = [verdicts, shelf].find(({ isLoadingError }) => isLoadingError);
  if (failed?.error) return <Failed error={failed.error} retry={failed.refetch} />;
  if (verdicts.isPending || shelf.isPending) return <Loading what="the verdict" />;
  if (!verdict || !report)
    return (
      <Failed error={new Error('Sabor has no such verdict. It may have been opened from an old link.')} />
    );
  return (
    <ReportDesk
      report={report}
      kicker={
        <Link className="underline underline-offset-4" to={`/verdicts/${verdict.id}`}>
          Verdict on {verdict.name}
        </Link>
      }
      wearerName={verdict.wearerName}
      names={names}
      setNames={setNames}
    />
  );
}
