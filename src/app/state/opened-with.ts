import { DOCUMENT, inject } from '@angular/core';

/** What the device hands over when a file is opened with the installed application, where the browser has that. */
interface LaunchQueue {
  setConsumer(consumer: (launch: { readonly files?: readonly FileSystemFileHandle[] }) => void): void;
}

/** Takes files that are opened with the application; belongs to the page that reads them. */
export function openedWith(take: (file: File) => void): void {
  const { launchQueue } = inject(DOCUMENT).defaultView as unknown as { readonly launchQueue?: LaunchQueue };
  launchQueue?.setConsumer(({ files = [] }) => {
    // One at a time is looked at.
    const [first] = files;
    if (first) void first.getFile().then(take);
  });
}
