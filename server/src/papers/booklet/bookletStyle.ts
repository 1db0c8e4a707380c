/** Pattern paper, hairlines, ink; on a phone, on a screen, on a printer. */
export const BOOKLET_STYLE = `
:root{--ink:#1d2733;--quiet:#55616d;--line:#c9cdd0;--paper:#fdfdfb;--red:#a8321f;--action:#0d5965}
*{box-sizing:border-box}
html{font:400 17px/1.45 "Source Sans 3",sans-serif;color:var(--ink);background:#dcdfdd}
html.large{font-size:24px}
body{max-width:52rem;margin:0 auto;padding:1.6rem 1.4rem 3rem;background:var(--paper)}
h1{margin:0 0 .4rem;font-size:2rem;line-height:1.15}
h2{margin:2.2rem 0 .6rem;font-size:1.5rem;line-height:1.2}
h3{margin:1.4rem 0 .4rem;font-size:1.15rem}
h4{margin:1.2rem 0 .3rem;font-size:1rem}
p{margin:.35rem 0}
a{color:var(--action)}
.quiet{color:var(--quiet);font-size:.9em}
.front{display:flex;gap:1.5rem;align-items:flex-start;justify-content:space-between}
.front>div{flex:1}
.figure{width:38%;max-height:20rem;object-fit:contain}
.contents{display:flex;flex-wrap:wrap;gap:.2rem 1.4rem;margin:1rem 0 0;padding:.7rem 0;border-block:1px solid var(--line);list-style:none}
.contents a{display:inline-block;min-height:24px}
dl{margin:.3rem 0}
dl>div{display:grid;grid-template-columns:minmax(6rem,24%) 1fr;gap:0 .8rem;padding:.12rem 0}
dt{color:var(--quiet);font-size:.9em}
dd{margin:0}
.swatch{width:2.1em;height:.8em;margin-right:.35em;border:1px solid var(--line);vertical-align:-.05em}
.tableRoom{overflow-x:auto}
table{width:100%;border-collapse:collapse;font-variant-numeric:tabular-nums}
th,td{padding:.28rem .7rem .28rem 0;border-bottom:1px solid var(--line);font-weight:400;text-align:left;vertical-align:baseline}
thead th{color:var(--quiet);font-size:.86em}
td.number,th.number{text-align:right;white-space:nowrap}
.hidden{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.piece{padding-top:.4rem;border-top:1px solid var(--line);break-inside:avoid}
.pieceHead{display:flex;flex-wrap:wrap;gap:0 1rem;align-items:baseline;justify-content:space-between}
.pieceHead h3{margin:.3rem 0}
.step{margin:1.3rem 0;break-inside:avoid}
.step .body{display:grid;grid-template-columns:3.1rem 1fr}
.step .number{display:flex;gap:.35rem;align-items:flex-start;font-size:1.25rem;font-weight:600;line-height:1.35}
.step .number input{width:1.1rem;height:1.1rem;margin:.3rem 0 0}
.step:has(.number input:checked) .words{color:var(--quiet)}
.caution{margin:.6rem 0 .3rem 3.1rem;padding-left:.7rem;border-left:4px solid var(--red)}
.trueSize{overflow-x:auto;margin:1rem 0;border:1px solid var(--line);background:#fff}
.boxes{display:flex;flex-wrap:wrap;gap:.2rem 1.2rem}
.pictures{display:flex;flex-wrap:wrap;gap:1rem;margin-top:.6rem}
figure{margin:0}
figure img{max-width:100%;max-height:19rem}
figcaption{color:var(--quiet);font-size:.9em}
input[type=checkbox]{accent-color:var(--action);min-width:18px;min-height:18px}
footer{margin-top:2.5rem;padding-top:.7rem;border-top:1px solid var(--line);color:var(--quiet);font-size:.86em}
html.saving{--paper:#fff}
@media (width<34rem){body{padding:1rem}.front{flex-direction:column}.figure{width:70%}dl>div{grid-template-columns:1fr}}
@media screen and (prefers-color-scheme:dark){:root{--ink:#eef1f2;--quiet:#b4bdc4;--line:#4a545d;--paper:#2b3036;--red:#ff9a86;--action:#7cc7d2}html{background:#1f2327}figure img,.figure{background:#fdfdfb;padding:.3rem}}
@media print{html{background:none;font-size:10.5pt}html.large{font-size:18pt}body{max-width:none;padding:0}nav{display:none}h2,h3,h4{break-after:avoid}p{orphans:2;widows:2}@page{margin:16mm}@page sheet{margin:0}.trueSize{page:sheet;break-before:page;overflow:visible;margin:0;border:0}}
`;

/** The same for readers of books, which have type and colours of their own. */
export const EPUB_STYLE = `
h1,h2,h3,h4{line-height:1.2}
.quiet,dt,figcaption{font-size:.9em}
.figure{width:60%}
dl>div{margin:.2em 0}
dt{float:left;clear:left;width:28%}
dd{margin-left:30%}
.swatch{width:2.1em;height:.8em}
table{width:100%;border-collapse:collapse}
th,td{padding:.25em .6em .25em 0;border-bottom:1px solid #999;font-weight:normal;text-align:left;vertical-align:baseline}
.number{text-align:right}
.hidden{position:absolute;width:1px;height:1px;overflow:hidden}
.step,.piece{margin:1em 0;page-break-inside:avoid}
.step .number{font-weight:bold;text-align:left}
.caution{padding-left:.6em;border-left:4px solid #a8321f}
figure{margin:.6em 0}
img{max-width:100%}
`;

/** What is ticked stays ticked on this device, where it may keep anything; a file that is opened twice is one. */
export const TICK_SCRIPT = `
(function(){
var name='lanakit-'+document.documentElement.dataset.booklet,kept={};
try{kept=JSON.parse(localStorage.getItem(name)||'{}')}catch(e){}
document.querySelectorAll('input[type=checkbox]').forEach(function(box){
box.checked=kept[box.id]===true;
box.addEventListener('change',function(){if(box.checked)kept[box.id]=true;else delete kept[box.id];try{localStorage.setItem(name,JSON.stringify(kept))}catch(e){}});
});
})();
`;
