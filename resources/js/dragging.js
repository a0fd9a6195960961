// Of interact.js what the board drags with, and no more.
import '@interactjs/auto-start/index.prod.js';
import '@interactjs/actions/drag/index.prod.js';

export { default } from '@interactjs/interact/index.prod.js';
