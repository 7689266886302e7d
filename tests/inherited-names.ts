/** HTML with the names that every object has by itself, wherever HTML, CSS and addresses take a name. */
const names = ["constructor", "__proto__", "valueOf", "toString", "hasOwnProperty"];

export const inheritedNames: readonly (readonly [name: string, html: string])[] = names.map((name) => [
  name,
  [
    `<style>@${name} x{} ${name}{color:red} [${name}]{color:red} p:${name}{color:red} p[class${name}="a"]{color:red}`,
    `@media (${name}:1px){p{color:red}} .${name}{${name}:1}</style>`,
    `<table><tr><td align="${name}" valign="${name}" width="${name}" ${name}="1" bgcolor="${name}">`,
    `<${name} style="color:red">An element</${name}>`,
    `<p style="${name}:1px;color:${name};width:1${name};font-family:${name};font-size:${name};text-align:${name};`,
    `vertical-align:${name};display:${name};border:${name} ${name} red;line-height:${name};`,
    `background:url(${name});transform:${name}(1px);font-weight:${name}">A style</p>`,
    `<font face="${name}" size="${name}" color="${name}">A font</font>`,
    `<img src="https://a.example/picture.${name}" alt="A picture" width="20" height="20" align="${name}">`,
    `<a href="${name}:a">A link</a> <a href="https://a.example/file.${name}">A file</a> <a href="http://${name}/">A host</a>`,
    `<!--[if ${name}]>A branch<![endif]--><!--[if ${name} mso 9]>A branch<![endif]-->`,
    `<ul type="${name}"><li>An item</li></ul></td></tr></table>`,
  ].join(""),
]);
