import { forgetKnown } from '../api/known';

/** Into another house, or back: nothing of the one before stays on the screen. */
export async function goOver(to: string): Promise<void> {
  await forgetKnown();
  window.location.assign(to);
}
