import { auditText } from '@/core/audit/text';
import { PROTOCOLS } from '@/core/protocol';
for (const n of [1000,4000,16000]) { const t='Pot\nServes 2\n\n1 onion\n1 cup'+'salt pepper oil tofu '.repeat(n/21|0); const s=performance.now(); auditText(t,PROTOCOLS[0]!); console.log(n, performance.now()-s); }
