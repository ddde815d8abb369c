const NAME = 'Kelmot';

let page = '';
let clock = '';

function write(): void {
  const title = [clock, page, NAME].filter((part, i) => part !== '' && !(i === 1 && part === NAME));
  document.title = title.join(' · ');
}

/** Names the page by its screen. */
export function namePage(name: string): void {
  page = name;
  write();
}

/** Puts the soonest clock before the name of the page: it is seen while another page is worked with. */
export function clockOfPage(said: string): void {
  if (said === clock) return;
  clock = said;
  write();
}

/** What a heading says more than it shows, for the title of the page. */
export const pageTitle = (title: string): object => ({ dataSet: { title } });
