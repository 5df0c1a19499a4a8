/** Of the version that runs. */
declare const __BUILD__: string;
