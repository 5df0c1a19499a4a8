import { useLocation, useNavigate } from 'react-router';
import { readScan, useScanner, type Scanned } from '../kit/scan';

/** Where pieces are worked through one after another: there a scan picks the next. */
const rounds = ['/weigh', '/look'];

/** Where a scanned code leads from here. */
export function leadsTo({ what, id }: Scanned, pathname: string): string {
  return what === 'pieces' && rounds.includes(pathname) ? `${pathname}?piece=${id}` : `/${what}/${id}`;
}

/** A hang tag or a label that is scanned opens what it stands for, wherever one is. */
export function Scans() {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  useScanner(readScan, (scanned) => void navigate(leadsTo(scanned, pathname)));
  return null;
}
