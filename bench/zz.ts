import { planJob } from '@esmero/core';
import { demoJobs } from '@esmero/demo';
for (let i=0;i<400;i++) for (const j of demoJobs) planJob(j);
