import { humidityFromDewPoint, type Observation } from '@sabor/core/climate/observation';
import { type IMetar, parseMetar, RemarkType } from 'metar-taf-parser';

/** What became of one pasted report: its reading, or a sentence that says why there is none. */
export interface ReadReport {
  report: string;
  reading: Observation | null;
  says: string;
}

/** No report of the code form comes near this length, characters. */
const LONGEST_REPORT = 1000;

const BEGINS = /^(?:(?:METAR|SPECI)\s+)?(?:(?:COR|AUTO)\s+)?[A-Z][A-Z0-9]{3}\s+\d{6}Z\b/;

/** Reports in a pasted text: each begins with its station and time, may run over lines, and may end with "=". */
export function splitReports(text: string): string[] {
  const reports: string[] = [];
  let open = false;
  for (const line of text.split(/[\r\n]+|(?<==)/).map((part) => part.trim())) {
    if (line === '' || line === '=') continue;
    if (open && !BEGINS.test(line)) reports[reports.length - 1] += ` ${line}`;
    else reports.push(line);
    open = BEGINS.test(line) ? !line.endsWith('=') : open && !line.endsWith('=');
  }
  return reports.map((report) => report.replace(/\s*=$/, ''));
}

const PER_SECOND = { KT: 1852 / 3600, MPS: 1, 'KM/H': 1 / 3.6 } as const;
const round = (x: number) => Math.round(x * 10) / 10;

/** Mean wind and gusts in m/s, read from the group itself: the parser takes km/h for knots. */
function windOf(report: string): { windMs: number | null; gustMs: number | null } {
  const group = /\s(?:\d{3}|VRB)P?(\d{2,3})(?:GP?(\d{2,3}))?(KT|MPS|KMH)\b/.exec(report);
  if (!group) return { windMs: null, gustMs: null };
  const per = PER_SECOND[group[3] === 'KMH' ? 'KM/H' : (group[3] as 'KT' | 'MPS')];
  return { windMs: round(+group[1]! * per), gustMs: group[2] ? round(+group[2] * per) : null };
}

/** Temperature and dew point in °C: to a tenth where a remark gives them so, else the report's whole degrees. */
function airOf(metar: IMetar): { temperature: number | undefined; dewPoint: number | undefined } {
  const fine = metar.remarks.find(({ type }) => type === RemarkType.HourlyTemperatureDewPoint);
  if (fine && 'dewPoint' in fine && 'temperature' in fine)
    return { temperature: fine.temperature, dewPoint: fine.dewPoint };
  return { temperature: metar.temperature, dewPoint: metar.dewPoint };
}

/** The moment of a day, hour and minute: in the month given, else the newest that is not after `now`. */
function momentOf(
  day: number,
  hour: number,
  minute: number,
  month: string | null,
  now: number,
): number | null {
  if (hour > 23 || minute > 59) return null;
  const first = month ? new Date(`${month}-01T00:00:00Z`) : new Date(now);
  for (let back = 0; back < (month ? 1 : 12); back++) {
    const ms = Date.UTC(first.getUTCFullYear(), first.getUTCMonth() - back, day, hour, minute);
    if (new Date(ms).getUTCDate() === day && (month !== null || ms <= now + 3_600_000)) return ms;
  }
  return null;
}

/**
 * One report read. Source of the code form: WMO-No. 306, FM 15/16. A report without temperature or dew point, or cut
 * off before them, gives no reading and says so.
 */
function readReport(report: string, month: string | null, now: number): ReadReport {
  const none = (says: string): ReadReport => ({ report, reading: null, says });
  if (report.length > LONGEST_REPORT)
    return none('This is too long for one report. Are line ends missing between reports?');
  if (/^TAF\b/.test(report)) return none('This is a forecast (TAF). Sabor stores what was observed.');
  if (!BEGINS.test(report))
    return none(
      'This does not begin as a METAR does: four letters of a station, then day and time as 221630Z.',
    );
  let metar: IMetar;
  try {
    metar = parseMetar(report);
  } catch {
    return none('This report cannot be read. Check that it is whole.');
  }
  if (metar.nil) return none('The station reported nothing (NIL).');
  const at = momentOf(metar.day ?? 0, metar.hour ?? 99, metar.minute ?? 99, month, now);
  if (at === null)
    return none(month ? `There is no such day or time in ${month}.` : 'There is no such day or time.');
  if (at > now + 3_600_000) return none('This report would lie in the future. Check the month.');
  const { temperature, dewPoint } = airOf(metar);
  if (temperature === undefined || dewPoint === undefined)
    return none('Temperature or dew point is missing. Is the report cut off?');
  try {
    const reading = {
      at: new Date(at).toISOString(),
      temperatureC: temperature,
      humidity: round(humidityFromDewPoint(temperature, dewPoint)),
      ...windOf(report),
    };
    return { report, reading, says: 'Read.' };
  } catch (error) {
    return none((error as Error).message);
  }
}

/** Every report of a pasted text, in its order. Of two for one moment the correction (COR), else the first, is taken. */
export function readReports(text: string, month: string | null, now: number): ReadReport[] {
  const read = splitReports(text).map((report) => readReport(report, month, now));
  const corrects = ({ report }: ReadReport) => /\bCOR\b/.test(report);
  // Of each moment the one that is taken, its place, and whether there are others.
  const taken = new Map<string, { best: number; several: boolean }>();
  read.forEach(({ reading }, i) => {
    if (!reading) return;
    const known = taken.get(reading.at);
    if (!known) {
      taken.set(reading.at, { best: i, several: false });
      return;
    }
    known.several = true;
    if (corrects(read[i]!) && !corrects(read[known.best]!)) known.best = i;
  });
  return read.map((one, i) => {
    const same = one.reading && taken.get(one.reading.at)!;
    if (!same?.several || same.best === i) return one;
    return {
      ...one,
      reading: null,
      says: corrects(read[same.best]!)
        ? 'Corrected by another report here.'
        : `The same moment as a report above (${i + 1}).`,
    };
  });
}
