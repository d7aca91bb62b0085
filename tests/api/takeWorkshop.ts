import { takeWorkshop } from '../workshopOf';

takeWorkshop(Number(process.env['VITEST_POOL_ID'] ?? 1) - 1);
