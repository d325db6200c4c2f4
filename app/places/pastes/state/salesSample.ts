/** A page of past sales as one copies it, to try with: made up. */
export const salesSample = `1,204 results
Save this search

Quill 70 8 GB graphics card
Second-hand
CA $142.50
Fixed price
+CA $12.00 delivery
from Pier Street
Sold Oct 28, 2026

QUILL 70 8GB - mint
Second-hand
CA $131.00
14 bids
Free delivery
Sold Oct 27, 2026

Quill 70 8 GB (no fan)
Parts only
CA $40.00
3 bids
+CA $12.00 delivery
Sold Oct 26, 2026

quill 70 8gb oc
Second-hand
CA $138.00
9 bids
+CA $12.00 delivery
Sold Oct 26, 2026

Quill 70 8GB boxed
Second-hand
CA $149.00
Fixed price
Free delivery
Sold Oct 25, 2026

Harrow Quill 70 8GB dual fan
Second-hand
CA $136.00
11 bids
+CA $9.00 delivery
Sold Oct 22, 2026
`
