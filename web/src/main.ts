/*
 * A taster's phone, and whoever is shown a page, load nothing of the house, and the house nothing of them. The address says
 * which it is before anything else is loaded, so that all of it is fetched at once and not one file after another.
 */
const isGuest = /^\/(t|s\/trial|s\/piece)\/[^/]+$/.test(window.location.pathname);

void (isGuest ? import('./shell/guests') : import('./shell/people'));
