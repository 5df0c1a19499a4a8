import { useStock } from '../api/stock';
import { Page, Waiting } from '../kit/Page';
import { Pot } from './Pot';

const GATHERED = ['TRIM', 'STEW', 'FAT', 'JAR'];

/** Trim and fat of several pieces in one jar, its parts known. */
export default function GatherPage() {
  const stock = useStock();
  if (!stock.data) {
    return <Waiting failure={stock.error} />;
  }
  return (
    <Page title="Gather in a jar">
      <Pot
        packs={stock.data.packs.filter(({ content, toClean }) => GATHERED.includes(content) && !toClean)}
        product="JAR"
      />
    </Page>
  );
}
