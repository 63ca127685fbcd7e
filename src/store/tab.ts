const fresh = (): string => crypto.randomUUID();

/** This tab's name: kept through a reload, different in every tab. */
export const TAB_ID: string = (() => {
  const kept = sessionStorage.getItem('drip-line/tab');
  const id = kept ?? fresh();
  sessionStorage.setItem('drip-line/tab', id);
  return id;
})();

export const newPlanId = fresh;
