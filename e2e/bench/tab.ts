import type { Browser, CDPSession, Cookie } from '@playwright/test';

/** What the whole Chromium needs so that its tabs are hidden and slowed down as on a desk: a shell of it has none that hide. */
export const withRealTabs = {
  executablePath: '/usr/bin/chromium',
  headless: false,
  ignoreDefaultArgs: [
    '--disable-background-timer-throttling',
    '--disable-renderer-backgrounding',
    '--disable-backgrounding-occluded-windows',
  ],
};

interface Answer {
  readonly id?: number;
  readonly result?: { readonly result?: { readonly value?: unknown }; readonly exceptionDetails?: { readonly text: string } };
  readonly error?: { readonly message: string };
}

/**
 * A tab that is hidden when another comes to the front. Pages that are driven in the usual way always believe that they are in front, so
 * this one is driven by the protocol itself.
 */
export class Tab {
  private readonly waiting = new Map<number, (answer: Answer) => void>();
  private count = 0;

  private constructor(
    private readonly browser: CDPSession,
    private readonly own: string,
    private readonly other: string,
    private readonly sessionId: string,
  ) {
    browser.on('Target.receivedMessageFromTarget', ({ sessionId: from, message }) => {
      const answer = JSON.parse(message) as Answer;
      if (from === sessionId && answer.id !== undefined) this.waiting.get(answer.id)?.(answer);
    });
  }

  /** Opens an address, signed in by cookies. @param before runs in the page before anything of its own */
  static async open(browser: Browser, address: string, cookies: readonly Cookie[], before: () => void): Promise<Tab> {
    const session = await browser.newBrowserCDPSession();
    const { targetId: other } = await session.send('Target.createTarget', { url: 'about:blank' });
    const { targetId: own } = await session.send('Target.createTarget', { url: 'about:blank' });
    const { sessionId } = await session.send('Target.attachToTarget', { targetId: own, flatten: false });
    const tab = new Tab(session, own, other, sessionId);
    await tab.send('Page.enable');
    await tab.send('Page.addScriptToEvaluateOnNewDocument', { source: `(${String(before)})()` });
    for (const { name, value } of cookies) await tab.send('Network.setCookie', { name, value, url: address });
    await tab.send('Page.navigate', { url: address });
    return tab;
  }

  private async send(method: string, params: object = {}): Promise<Answer> {
    const id = ++this.count;
    const answered = new Promise<Answer>((resolve) => this.waiting.set(id, resolve));
    await this.browser.send('Target.sendMessageToTarget', {
      sessionId: this.sessionId,
      message: JSON.stringify({ id, method, params }),
    });
    const answer = await answered;
    this.waiting.delete(id);
    if (answer.error) throw new Error(`${method}: ${answer.error.message}`);
    return answer;
  }

  /** What an expression is in the page, as if somebody had pressed for it. */
  async evaluate(expression: string): Promise<unknown> {
    const { result } = await this.send('Runtime.evaluate', { expression, returnByValue: true, awaitPromise: true, userGesture: true });
    if (result?.exceptionDetails) throw new Error(`${expression}: ${result.exceptionDetails.text}`);
    return result?.result?.value;
  }

  /** Waits until an expression is true. @throws after a minute */
  async until(expression: string): Promise<void> {
    const end = Date.now() + 60_000;
    while ((await this.evaluate(expression)) !== true) {
      if (Date.now() > end) throw new Error(`never true: ${expression}`);
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }

  async hide(): Promise<void> {
    await this.browser.send('Target.activateTarget', { targetId: this.other });
    await this.until(`document.visibilityState === 'hidden'`);
  }

  async show(): Promise<void> {
    await this.browser.send('Target.activateTarget', { targetId: this.own });
    await this.until(`document.visibilityState === 'visible'`);
  }

  async close(): Promise<void> {
    for (const targetId of [this.own, this.other]) await this.browser.send('Target.closeTarget', { targetId });
    await this.browser.detach();
  }
}
