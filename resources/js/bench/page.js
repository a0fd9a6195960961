/** A place of the page, and what it says. */
export const $ = (id) => document.querySelector(id);
export const say = (id, words) => ($(id).textContent = words);
