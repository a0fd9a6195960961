export const writing = 'input:not([type=checkbox]):not([type=radio]):not([type=submit]), textarea, select, [contenteditable]';

/** `Alt+ArrowUp`, `Ctrl+z`, `+`: how a button names its key in data-key. */
export function nameOf(event) {
    const key = event.key === ' ' ? 'Space' : event.key;
    const shift = event.shiftKey && key.length > 1 ? 'Shift+' : '';
    const control = event.ctrlKey || event.metaKey ? `Ctrl+${event.shiftKey && key.length === 1 ? 'Shift+' : ''}` : '';

    return `${control}${event.altKey ? 'Alt+' : ''}${shift}${key.length === 1 ? key.toLowerCase() : key}`;
}

/**
 * Presses the button in root whose data-key names the key. Not while someone writes; single keys only where the maker
 * has left them on; space and enter stay with whatever has the focus.
 */
export function pressKeyButton(root, event) {
    if (event.target.closest?.(writing) || event.isComposing) {
        return false;
    }
    const name = nameOf(event);
    const isSingle = !/^(Ctrl|Alt)\+/.test(name);
    if (isSingle && root.dataset.shortcuts !== 'on') {
        return false;
    }
    if ((name === 'Space' || name === 'Enter') && event.target.closest?.('button, a, summary, [role=button]')) {
        return false;
    }
    const button = [...root.querySelectorAll('[data-key]')].find((one) => one.dataset.key.split(' | ').includes(name) && !one.closest('[hidden]'));
    if (!button || button.disabled) {
        return false;
    }
    event.preventDefault();
    button.click();
    if (button.matches('summary')) {
        shown(button);
    }

    return true;
}

/** What a key opens is seen, wherever it is folded away. */
function shown(summary) {
    for (let one = summary.closest('details'); one; one = one.parentElement.closest('details')) {
        one.open = one !== summary.parentElement || one.open;
    }
    summary.focus();
    summary.scrollIntoView({ block: 'center' });
}
