/**
 * Runs before the program is loaded, by itself: on Road the presses are there at once, in the order of the last visit.
 * What a press leads to is noted on the page, and that is where the program then opens; what must be done first is shown meanwhile.
 */
{
  const kept = (key: string): unknown => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null');
    } catch {
      return null;
    }
  };
  const view = kept('necessaire.view') as { theme?: unknown } | null;
  const usual = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  document.documentElement.dataset['theme'] = view?.theme === 'dark' || view?.theme === 'light' ? view.theme : usual;
  const road = document.getElementById('before-road');
  const title = document.getElementById('before-title');
  const first = document.getElementById('before-first');
  if (location.pathname === '/road' && road && title && first) {
    const order = kept('necessaire.symptoms');
    const ids = Array.isArray(order) ? order.map(String) : ['flat'];
    const list = road.querySelector('nav');
    const presses = [...road.querySelectorAll('a')];
    const rank = (a: HTMLElement) => {
      if (a.dataset['first'] !== undefined) return -1;
      const at = ids.indexOf(a.dataset['symptom'] ?? '');
      return at < 0 ? ids.length : at;
    };
    list?.append(...presses.sort((a, b) => rank(a) - rank(b)));
    const open = (press: HTMLAnchorElement) => {
      title.textContent = press.firstChild?.textContent ?? '';
      first.textContent = press.querySelector('span')?.textContent ?? '';
      road.dataset['chosen'] = first.textContent ? 'first' : 'yes';
    };
    road.addEventListener('click', (event) => {
      const press = event.target instanceof Element ? event.target.closest('a') : null;
      if (!press || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      road.dataset['pressed'] = press.getAttribute('href') ?? '';
      open(press);
    });
    const asked = new URLSearchParams(location.search).get('seek');
    const named = presses.find((a) => a.dataset['symptom'] === asked);
    if (named) open(named);
    // Anything else than what is wrong opens as a whole.
    else if (location.search) road.dataset['chosen'] = 'yes';
    document.getElementById('before')?.setAttribute('data-road', '');
  }
}
