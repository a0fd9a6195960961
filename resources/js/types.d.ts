// What the browser and htmx have that the standard library of types does not tell.

interface HtmxDetail {
    elt: HTMLElement;
    target: HTMLElement;
    xhr: XMLHttpRequest;
    successful: boolean;
    shouldSwap: boolean;
    swapOverride?: string;
    serverResponse: string;
    parameters: FormData;
    requestConfig: {
        verb: string; path: string; formData: FormData; headers: Record<string, string>; elt: HTMLElement;
    };
    issueRequest(skipConfirmation: boolean): void;
}

interface DocumentEventMap {
    'htmx:afterRequest': CustomEvent<HtmxDetail>;
    'htmx:afterSettle': CustomEvent<HtmxDetail>;
    'htmx:afterSwap': CustomEvent<HtmxDetail>;
    'htmx:beforeRequest': CustomEvent<HtmxDetail>;
    'htmx:beforeSwap': CustomEvent<HtmxDetail>;
    'htmx:configRequest': CustomEvent<HtmxDetail>;
    'htmx:confirm': CustomEvent<HtmxDetail>;
    'htmx:sendError': CustomEvent<HtmxDetail>;
}

interface HTMLElementEventMap extends DocumentEventMap {}

interface Window {
    htmx: object;
    SpeechRecognition?: new () => any;
    webkitSpeechRecognition?: new () => any;
}

/** A scale at a cable: the Web Serial API. */
interface Navigator {
    serial?: { requestPort(): Promise<any> };
}
