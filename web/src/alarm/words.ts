import type { Schema } from '../api/client';
import { moment } from '../kit/units';

type Alarm = Schema['AlarmView'];
type Way = Schema['DeliveryView'];

/** What was last answered, in a sentence; empty for nothing. */
export function answered({ answered: last }: Alarm): string {
  if (!last) {
    return '';
  }
  const at = moment(last.at);
  switch (last.kind) {
    case 'TAKEN_OVER':
      return `${last.by} sees to it, since ${at}.`;
    case 'LATER':
      return `${last.by} is told again ${last.until ? moment(last.until) : 'later'}.`;
    case 'HANDED_TO':
      return `${last.by} handed it to ${last.toName ?? 'another'}, ${at}.`;
  }
}

/** How far a message got on one way, in words. */
export function fate({ channel, name, state, at, tries, answer }: Way): string {
  const when = at ? ` ${moment(at)}` : '';
  switch (state) {
    case 'WAITING':
      return tries === 0 ? `${name}: on its way` : `${name}: not out yet, tried ${tries} times. ${answer}`;
    case 'SENT':
      return channel === 'EMAIL' ? `${name}: with the mail server${when}` : `${name}: taken${when}`;
    case 'SHOWN':
      return `${name}: shown${when}`;
    case 'REFUSED':
      return `${name}: refused. ${answer}`;
    case 'GIVEN_UP':
      return `${name}: given up. ${answer}`;
  }
}

export const lost = ({ state, tries }: Way): boolean =>
  state === 'REFUSED' || state === 'GIVEN_UP' || (state === 'WAITING' && tries > 0);
