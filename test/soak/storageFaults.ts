/**
 * Faults of storage as a browser shows them, put into a page before it runs. Text, as the page knows no
 * helpers of a compiler. Each is over once the tab's window has the name "healed", which it keeps from page
 * to page.
 */
export const FAULTS = {
  /** the database cannot be opened at all */
  'open fails': `IDBFactory.prototype.open = fail(IDBFactory.prototype.open, () => { throw new DOMException('denied', 'SecurityError'); });`,
  /** it is asked to open, and nothing ever happens */
  'open never answers': `IDBFactory.prototype.open = fail(IDBFactory.prototype.open, () => new EventTarget());`,
  /** the disk is full: every write is refused */
  'writes refused': `for (const way of ['put', 'add', 'delete']) IDBObjectStore.prototype[way] = fail(IDBObjectStore.prototype[way], function () { this.transaction.abort(); throw new DOMException('full', 'QuotaExceededError'); });`,
  /** writes are taken, and their transaction fails at the end */
  'commits refused': `for (const way of ['put', 'add']) IDBObjectStore.prototype[way] = after(IDBObjectStore.prototype[way], (store) => setTimeout(() => { try { store.transaction.abort(); } catch {} }));`,
  /** no transaction can be begun */
  'transactions refused': `IDBDatabase.prototype.transaction = fail(IDBDatabase.prototype.transaction, () => { throw new DOMException('broken', 'UnknownError'); });`,
  /** localStorage may not be touched */
  'localStorage denied': `Object.defineProperty(window, 'localStorage', { get: () => { throw new DOMException('denied', 'SecurityError'); } });`,
  /** both are full */
  'both full': `Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); }; for (const way of ['put', 'add']) IDBObjectStore.prototype[way] = fail(IDBObjectStore.prototype[way], function () { this.transaction.abort(); throw new DOMException('full', 'QuotaExceededError'); });`,
} as const;

export type FaultName = keyof typeof FAULTS;

/** The script of a fault. `from` says when it begins: with the page, or once `window.broken` is set. */
export const faultScript = (name: FaultName, from: 'start' | 'later'): string => `{
  window.broken = ${from === 'start'};
  const on = () => window.broken && window.name !== 'healed';
  const fail = (real, broken) => function (...args) { return on() ? broken.apply(this, args) : real.apply(this, args); };
  const after = (real, then) => function (...args) { const answer = real.apply(this, args); if (on()) then(this); return answer; };
  ${FAULTS[name]}
}`;
