/** The open page opens without the workshop too, as it was last seen, with what it is dressed in. */
export async function keepPage() {
    if (!('serviceWorker' in navigator)) {
        return false;
    }
    try {
        await navigator.serviceWorker.register('/bench-worker.js');
        const worker = await navigator.serviceWorker.ready;
        const dressed = performance.getEntriesByType('resource').map((one) => one.name);
        worker.active?.postMessage([location.pathname, ...dressed.filter((name) => name.includes('/build/'))]);
        return true;
    } catch {
        // Not allowed here: the page works as long as it is open.
        return false;
    }
}

/** The bench may be one that was kept: then it says so. */
export function keepBench() {
    if (document.querySelector('.workday') === null) {
        return;
    }
    fetch('/up', { method: 'HEAD' }).catch(() => document.querySelector('#offline')?.removeAttribute('hidden'));
    keepPage();
}
