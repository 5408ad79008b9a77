const base='http://127.0.0.1:4310';
const r=await fetch(base+'/api/sign-in',{method:'POST',headers:{'content-type':'application/json',origin:base},body:JSON.stringify({signIn:'demo',passphrase:'salt marsh bench'})});
const cookie=r.headers.get('set-cookie').split(';')[0];
const q=await (await fetch(base+'/api/v1/machines?q='+process.argv[2],{headers:{cookie}})).json();
const m=q.rows.find(x=>!x.openJob);
const j=await fetch(base+'/api/v1/jobs',{method:'POST',headers:{cookie,'content-type':'application/json',origin:base},body:JSON.stringify({key:crypto.randomUUID(),machineId:m.id,words:process.argv[4]??'',complaints:process.argv[3].split(','),openedBefore:false,arrivalSigns:[],promisedOn:'2026-12-02'})});
console.log(j.status, JSON.stringify(await j.json()));
