import ts from 'typescript'; import fs from 'fs'; import path from 'path';
const QUERY=['useAsked','useRested','useSame','useWrite','client'];
const files=process.argv.slice(2);
const cfg=ts.getParsedCommandLineOfConfigFile('tsconfig.json',{},{...ts.sys,onUnRecoverableConfigFileDiagnostic(){}});
// add missing
for(const f of files){let s=fs.readFileSync(f,'utf8');
 const rel=(to)=>{let r=path.relative(path.dirname(f),to).replace(/\\/g,'/');return r.startsWith('.')?r:'./'+r};
 const need=QUERY.filter(n=>new RegExp(`\\b${n}\\b`).test(s.replace(/import[\s\S]*?from '[^']*';/g,''))&&!new RegExp(`import[^;]*\\b${n}\\b[^;]*from`).test(s));
 const lines=[]; if(need.length) lines.push(`import { ${need.join(', ')} } from '${rel('src/ui/query')}';`);
 if(/\buseQuery\(/.test(s)&&!/import[^;]*useQuery/.test(s)) lines.unshift(`import { useQuery } from '@tanstack/react-query';`);
 if(/\buseRemoval\b/.test(s)&&!/import[^;]*useRemoval/.test(s)) lines.push(`import { useRemoval } from '${rel('src/ui/use-removal')}';`);
 if(lines.length){const all=[...s.matchAll(/^import[\s\S]*?;$/gm)]; const last=all.filter(m=>/from '\.\.?\//.test(m[0])).at(0)??all.at(-1); const at=last.index+last[0].length; s=s.slice(0,at)+'\n'+lines.join('\n')+s.slice(at); fs.writeFileSync(f,s)}
}
const host={getScriptFileNames:()=>cfg.fileNames,getScriptVersion:()=>'1',getScriptSnapshot:f=>fs.existsSync(f)?ts.ScriptSnapshot.fromString(fs.readFileSync(f,'utf8')):undefined,getCurrentDirectory:()=>process.cwd(),getCompilationSettings:()=>cfg.options,getDefaultLibFileName:o=>ts.getDefaultLibFilePath(o),fileExists:ts.sys.fileExists,readFile:ts.sys.readFile,readDirectory:ts.sys.readDirectory,directoryExists:ts.sys.directoryExists,getDirectories:ts.sys.getDirectories};
const ls=ts.createLanguageService(host);
for(const f of files){const abs=path.resolve(f);const ch=ls.organizeImports({type:'file',fileName:abs,mode:ts.OrganizeImportsMode.RemoveUnused},{},{});for(const c of ch){let s=fs.readFileSync(c.fileName,'utf8');for(const t of [...c.textChanges].sort((a,b)=>b.span.start-a.span.start))s=s.slice(0,t.span.start)+t.newText+s.slice(t.span.start+t.span.length);fs.writeFileSync(c.fileName,s)}}
