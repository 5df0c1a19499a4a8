import { useStock } from '../api/stock';
import { Page, Waiting } from '../kit/Page';
import { Pot } from './Pot';

/** Fat to tallow: what goes into the pot, what is to be expected, what came out. */
export default function RenderPage() {
  const stock = useStock();
  if (!stock.data) {
    return <Waiting failure={stock.error} />;
  }
  return (
    <Page title="Render fat">
      <Pot packs={stock.data.packs.filter(({ content }) => content === 'FAT')} product="TALLOW" />
    </Page>
  );
}
