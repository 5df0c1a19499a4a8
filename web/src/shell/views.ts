/** The views of the house, in the order they hang from the rail; the key that leads to each. */
export interface View {
  to: string;
  label: string;
  key: string;
  does: string;
  /** Whether it lies under the thumb on a phone; the others are one touch behind. */
  thumb?: boolean;
}

export const views: View[] = [
  { to: '/', label: 'Room', key: 'h', does: 'the room as it hangs', thumb: true },
  { to: '/plan', label: 'Plan', key: 'p', does: 'plan' },
  { to: '/receive', label: 'Receive', key: 'r', does: 'receive a lot' },
  { to: '/weigh', label: 'Weigh', key: 'w', does: 'weigh a piece', thumb: true },
  { to: '/look', label: 'Look', key: 'l', does: 'look at a piece', thumb: true },
  { to: '/treatments', label: 'Treatments', key: 't', does: 'treatments and their doses' },
  { to: '/trials', label: 'Trials', key: 'q', does: 'questions: the trials' },
  { to: '/tastings', label: 'Table', key: 'b', does: 'blind tastings: the table' },
  { to: '/stock', label: 'Stock', key: 's', does: 'stock: what is packed', thumb: true },
  { to: '/compare', label: 'Compare', key: 'c', does: 'compare finished pieces' },
  { to: '/guide', label: 'Guide', key: 'g', does: 'the guide' },
  { to: '/settings', label: 'Settings', key: ',', does: 'settings' },
];
