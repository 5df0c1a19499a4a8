import type { paths } from '../api/schema';

/** What can be shown around. */
export type SharedKind = paths['/api/share/{kind}/{id}']['get']['parameters']['path']['kind'];
