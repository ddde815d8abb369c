const NAME = 'Kelmot';

let page = '';
let clock = '';

function write(): void {
  const title = [clock, page, NAME].filter((part, i) => part !== '' && !(i === 1 && part === NAME));
  document.title = title.join(' · ');
}

/** Names the page by its screen. */
export function setPageName(name: string): void {
  page = name;
  write();
}

/** Puts the clock that ends soonest in front of the page's name: visible while another page is used. */
export function setTitleClock(said: string): void {
  if (said === clock) return;
  clock = said;
  write();
}

/** The longer form of a heading, for the page title. */
export const pageTitle = (title: string): object => ({ dataSet: { title } });
