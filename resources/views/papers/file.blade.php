<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>{{ $title }}</title>
<style>
body { font: 16px/1.5 Georgia, "Times New Roman", serif; color: #182420; background: #fff; max-width: 46rem; margin: 1.5rem auto; padding: 0
    1rem; }
h1, h3 { font-family: "Gill Sans", Verdana, sans-serif; line-height: 1.2; margin: 1.4em 0 .4em; } h1 { font-size: 1.7rem; margin-top: 0; }
    h3 { font-size: 1.1rem; border-top: 1px solid #c9d2c8; padding-top: .7em; }
.wanted { background: #eef4ee; border-left: 4px solid #0d5a4e; padding: .6rem .9rem; white-space: pre-line; } .soft { color: #4c5a54; }
img, svg { max-width: 100%; height: auto; display: block; } figure { margin: .6rem 0; } figcaption { font-size: .9rem; color: #4c5a54; }
.row-of { display: flex; flex-wrap: wrap; gap: .8rem; list-style: none; padding: 0; } .row-of li { flex: 1 1 13rem; max-width: 21rem; }
table { border-collapse: collapse; width: 100%; } td, th { text-align: left; padding: .25rem .6rem .25rem 0; border-bottom: 1px solid
    #e2e7e0; vertical-align: top; } .num { text-align: right; }
.box { display: inline-block; width: .8em; height: .8em; border: 1px solid #182420; margin: 0 .3em 0 .9em; } @media print { body { margin:
    0; } figure, tr { break-inside: avoid; } }
</style>
</head>
<body>
@include($body, ['title' => 'h1'])
</body>
</html>
