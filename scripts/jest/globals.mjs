export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, jest, test } = globalThis;
